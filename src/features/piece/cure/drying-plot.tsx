'use client';
import { useTheme } from '@mui/material/styles';
import { MS_PER_HOUR } from '@/core/shared';
import { useMemo } from 'react';
import type { Data, Layout, Shape } from 'plotly.js';
import { dryingCurve, type CureClock, type CureWait } from '@/core/cure';
import { Note, Plot } from '@/ui';
import { say } from '@/words/say';

const HEIGHT = 210;
const PERCENT = 100;
const COLOURS = { wet: 'info', ink: 'text' } as const;

/** Water left in the coat against the clock, with earliest, likely, safe and now. */
export function DryingPlot({
  wait,
  times,
  laidAt,
  now,
}: {
  wait: CureWait;
  times: CureClock | null;
  laidAt: number | null;
  now: number;
}) {
  const { palette, typography } = useTheme();
  const { data, layout } = useMemo(() => {
    const fromAt = laidAt ?? now;
    const curve = dryingCurve(wait);
    const at = (hours: number) => new Date(fromAt + hours * MS_PER_HOUR);
    const colour = {
      wet: palette[COLOURS.wet].main,
      ink: palette.text.primary,
      muted: palette.text.secondary,
      rule: palette.divider,
      ready: palette.success.main,
      stop: palette.error.main,
    };
    const single = wait.earliestHours === wait.safeHours;
    const marks = single
      ? [{ name: say`full time`, hours: wait.safeHours }]
      : [
          { name: say`earliest`, hours: wait.earliestHours },
          { name: say`likely`, hours: wait.likelyHours },
          { name: say`safe`, hours: wait.safeHours },
        ];
    const line = (x: Date, stroke: string, dash: 'solid' | 'dot'): Partial<Shape> => ({
      type: 'line',
      x0: x,
      x1: x,
      y0: 0,
      y1: PERCENT,
      line: { color: stroke, width: 1.5, dash },
    });
    const plotted: Data[] = [
      {
        x: curve.map(({ hours }) => at(hours)),
        y: curve.map(({ remaining }) => remaining * PERCENT),
        type: 'scatter',
        mode: 'lines',
        line: { color: colour.wet, width: 2.5 },
        fill: 'tozeroy',
        hovertemplate: say`%{y:.0f} % water left, %{x|%a %H:%M}<extra></extra>`,
      },
    ];
    const note = (x: Date, text: string, tint: string, y = PERCENT) => ({
      x: x.getTime(),
      y,
      text,
      showarrow: false,
      font: { size: 12.5, color: tint },
      yanchor: 'bottom' as const,
      xanchor: 'center' as const,
    });
    const drawn: Partial<Layout> = {
      margin: { l: 44, r: 12, t: 22, b: 34 },
      showlegend: false,
      paper_bgcolor: 'rgba(0,0,0,0)',
      plot_bgcolor: 'rgba(0,0,0,0)',
      font: { family: typography.fontFamily ?? 'sans-serif', size: 12.5, color: colour.muted },
      hovermode: 'x',
      xaxis: {
        type: 'date',
        gridcolor: colour.rule,
        zeroline: false,
        fixedrange: true,
        tickformat: '%H:%M\n%a %d',
        nticks: 6,
      },
      yaxis: {
        range: [0, PERCENT],
        ticksuffix: ' %',
        gridcolor: colour.rule,
        zeroline: false,
        fixedrange: true,
        nticks: 5,
        title: { text: '' },
      },
      shapes: [
        ...marks.map(({ hours }) => line(at(hours), colour.ready, 'dot')),
        ...(times ? [line(new Date(now), colour.stop, 'solid')] : []),
      ],
      annotations: [
        ...marks.map(({ name, hours }) => note(at(hours), name, colour.ready)),
        ...(times ? [note(new Date(now), say`now`, colour.stop, 2)] : []),
      ],
    };
    return { data: plotted, layout: drawn };
  }, [wait, times, laidAt, now, palette, typography]);
  return (
    <div>
      <Note>{say`Water left in the coat`}</Note>
      <Plot
        data={data}
        layout={layout}
        height={HEIGHT}
        label={say`Water left in the coat over time`}
        testId="drying-plot"
      />
    </div>
  );
}
