import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { BakePrediction } from '@orvin/core';
import type { Data, Layout } from 'plotly.js';
import { PLOT, PlotHost, shownC, type Picture } from '../ui/plot-host';
import { degrees, thermometer } from '../ui/words';

/** Lines across the chart, in either scale. */
const TICKS = { C: [20, 60, 100, 140, 180], F: [100, 200, 300, 400] } as const;

/** Middle and top surface through the bake, the plan's marks, the range of times and the course outside; the tin before, dashed. */
@Component({
  selector: 'orvin-bake-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: PLOT,
  styles: `
    :host,
    .plot {
      display: block;
      width: 100%;
      height: 100%;
      min-height: 15rem;
    }
  `,
})
export class BakeChart extends PlotHost {
  readonly bake = input.required<BakePrediction>();
  readonly before = input<BakePrediction | null>(null);
  readonly beforeName = input('');

  protected shows(): void {
    this.bake();
    this.before();
  }

  protected picture(colour: (name: string) => string): Picture {
    const b = this.bake();
    const old = this.before();
    const min = (s: number): number => s / 60;
    const line = (
      key: 'centreC' | 'crustC',
      from: BakePrediction,
      name: string,
      stroke: string,
      dash: 'solid' | 'dash',
      width: number,
    ): Data => ({
      x: from.curve.map((p) => min(p.s)),
      y: from.curve.map((p) => shownC(p[key])),
      name,
      mode: 'lines',
      line: { color: stroke, width, dash },
      hovertemplate: `%{y:.0f} °${thermometer()} ${name}<extra></extra>`,
    });
    const end =
      Math.max(b.minutes.late, old?.minutes.likely ?? 0, min(b.curve.at(-1)?.s ?? 0), min(b.after.at(-1)?.s ?? 0)) *
      1.03;
    const at = (curve: BakePrediction['curve'], share: number): { s: number; centreC: number; crustC: number } =>
      curve[Math.floor(curve.length * share)] ?? { s: 0, centreC: 0, crustC: 0 };
    const data: Data[] = [
      line('crustC', b, 'top', colour('--heat-line'), 'solid', 2.5),
      line('centreC', b, 'middle', colour('--rim'), 'solid', 3),
    ];
    if (b.after.length > 1)
      data.push({
        x: [b.minutes.likely, ...b.after.map((p) => min(p.s))],
        y: [shownC(b.doneC), ...b.after.map((p) => shownC(p.centreC))],
        name: 'middle, out of the oven',
        mode: 'lines',
        line: { color: colour('--rim'), width: 2, dash: 'dot' },
        hovertemplate: `%{y:.0f} °${thermometer()} middle, outside<extra></extra>`,
      });
    if (old) data.unshift(line('centreC', old, `middle, ${this.beforeName()}`, colour('--ink-2'), 'dash', 1.8));
    const font = { family: 'Atkinson Hyperlegible Next Variable, sans-serif', color: colour('--ink-2'), size: 13 };
    const note = (
      x: number,
      y: number,
      text: string,
      ink: string,
      anchor: 'left' | 'right' | 'center' = 'left',
    ): object => ({
      x,
      y,
      text,
      showarrow: false,
      xanchor: anchor,
      yanchor: 'bottom',
      font: { ...font, color: ink },
      align: 'left',
    });
    // the top is named where it is clear of the words on doneness: a line of them is as high as 16 °C
    const clear = b.doneC + 16;
    const crust = b.curve.find((p, i) => i >= 0.3 * b.curve.length && p.crustC > clear) ?? at(b.curve, 0.3);
    const middle = at(b.curve, 0.5);
    const topY = shownC(Math.max(120, ...b.curve.map((p) => p.crustC)) + 14);
    const marks = b.plan.filter((m) => ['turn', 'first look', 'tent', 'change'].includes(m.kind));
    const layout: Partial<Layout> = {
      margin: { l: 44, r: 14, t: 8, b: 34 },
      paper_bgcolor: 'rgba(0,0,0,0)',
      plot_bgcolor: 'rgba(0,0,0,0)',
      showlegend: false,
      font,
      hovermode: 'x unified',
      hoverlabel: { font: { ...font, color: colour('--ink') }, bgcolor: colour('--enamel') },
      xaxis: {
        range: [0, end],
        ticksuffix: ' min',
        showgrid: false,
        zeroline: false,
        linecolor: colour('--hair'),
        showline: true,
        fixedrange: true,
      },
      yaxis: {
        range: [shownC(0), topY],
        ticksuffix: '°',
        gridcolor: colour('--hair'),
        zeroline: false,
        fixedrange: true,
        tickvals: TICKS[thermometer()].filter((v) => v < topY && Math.abs(v - shownC(b.doneC)) > shownC(8) - shownC(0)),
      },
      shapes: [
        {
          type: 'rect',
          x0: b.minutes.early,
          x1: b.minutes.late,
          y0: shownC(0),
          y1: topY,
          fillcolor: colour('--heat-wash'),
          line: { width: 0 },
          layer: 'below',
        },
        ...marks.map((m) => ({
          type: 'line' as const,
          x0: m.atMin,
          x1: m.atMin,
          y0: shownC(0),
          y1: topY * 0.93,
          line: { color: colour('--rim-soft'), width: 1.5 },
          layer: 'below' as const,
        })),
        {
          type: 'line',
          x0: 0,
          x1: end,
          y0: shownC(b.doneC),
          y1: shownC(b.doneC),
          line: { color: colour('--ink-2'), width: 1, dash: 'dot' },
        },
        {
          type: 'line',
          x0: b.minutes.likely,
          x1: b.minutes.likely,
          y0: shownC(0),
          y1: topY,
          line: { color: colour('--heat'), width: 2 },
        },
      ],
      annotations: [
        note(min(crust.s), shownC(crust.crustC + 2), 'top', colour('--heat'), 'right'),
        note(min(middle.s), shownC(middle.centreC + 2), 'middle', colour('--rim'), 'right'),
        note(end * 0.004, shownC(b.doneC + 0.5), `done at ${degrees(b.doneC)}`, colour('--ink-2')),
        // in two lines, since little room is left beside it on a phone
        note(b.minutes.likely, shownC(3), ` likely<br> ${Math.round(b.minutes.likely)} min`, colour('--heat')),
        ...marks.map((m, i) =>
          note(
            m.atMin,
            topY * (0.93 - 0.06 * (marks.length - 1 - i)),
            `${m.short ?? m.kind} ${m.atMin} `,
            colour('--ink-2'),
            'right',
          ),
        ),
        ...(old
          ? [
              note(
                min(at(old.curve, 0.42).s),
                shownC(at(old.curve, 0.42).centreC - 15),
                this.beforeName(),
                colour('--ink-2'),
              ),
            ]
          : []),
      ] as Layout['annotations'],
    };
    return { data, layout };
  }
}
