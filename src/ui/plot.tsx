'use client';
import type { Config, Data, Layout } from 'plotly.js';
import { useEffect, useRef } from 'react';
import { IS_ENGLISH, LANGUAGE } from '@/words/language';
import { monthsIn, weekdaysIn } from './calendar-names';

const CONFIG: Partial<Config> = {
  displayModeBar: false,
  responsive: true,
  doubleClick: false,
  ...(IS_ENGLISH ? {} : { locale: LANGUAGE.tag }),
};

/** The library, with the days and months of the language. */
async function plotting() {
  const { default: plotly } = await import('plotly.js-basic-dist-min');
  if (!IS_ENGLISH)
    plotly.register({
      moduleType: 'locale',
      name: LANGUAGE.tag,
      dictionary: {},
      format: {
        days: weekdaysIn('long'),
        shortDays: weekdaysIn('short'),
        months: monthsIn('long'),
        shortMonths: monthsIn('short'),
        date: '%d.%m.%Y',
        decimal: (1.5).toLocaleString(LANGUAGE.tag).charAt(1),
        thousands: ' ',
      },
    });
  return plotly;
}

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
    void plotting().then((plotly) => {
      if (!ended && element) void plotly.react(element, data, { ...layout, height, autosize: true }, CONFIG);
    });
    return () => {
      ended = true;
    };
  }, [data, layout, height]);
  useEffect(() => {
    const element = holder.current;
    return () =>
      void plotting().then((plotly) => {
        if (element) plotly.purge(element);
      });
  }, []);
  return <div ref={holder} role="img" aria-label={label} style={{ height }} data-testid={testId} />;
}
