'use client';
import type { Config, Data, Layout } from 'plotly.js';
import { useEffect, useRef } from 'react';

const CONFIG: Partial<Config> = { displayModeBar: false, responsive: true, doubleClick: false };

/** A chart. The library is loaded when the first one is shown; colours come from the page. */
export function Plot({
  data,
  layout,
  height,
  label,
  testId,
}: {
  data: Data[];
  layout: Partial<Layout>;
  height: number;
  label: string;
  testId?: string | undefined;
}) {
  const holder = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const element = holder.current;
    let ended = false;
    void import('plotly.js-basic-dist-min').then(({ default: plotly }) => {
      if (!ended && element) void plotly.react(element, data, { ...layout, height, autosize: true }, CONFIG);
    });
    return () => {
      ended = true;
    };
  }, [data, layout, height]);
  useEffect(() => {
    const element = holder.current;
    return () =>
      void import('plotly.js-basic-dist-min').then(({ default: plotly }) => {
        if (element) plotly.purge(element);
      });
  }, []);
  return <div ref={holder} role="img" aria-label={label} style={{ height }} data-testid={testId} />;
}
