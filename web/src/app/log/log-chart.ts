import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Data, Layout } from 'plotly.js';
import { PLOT, PlotHost, type Picture } from '../ui/plot-host';

/** Some points with what stands at each, or a line that joins them. */
export interface Points {
  readonly x: readonly (number | string)[];
  readonly y: readonly (number | null)[];
  readonly words: readonly string[];
  readonly colour: string;
  readonly hollow?: boolean;
  readonly joined?: boolean;
  readonly name?: string;
}
export interface Axis {
  readonly title: string;
  readonly range?: readonly [number, number];
  readonly ticks?: readonly (readonly [number, string])[];
  readonly suffix?: string;
}

/** A chart of the log: points against two axes, with one straight line to hold them against. */
@Component({
  selector: 'orvin-log-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: PLOT,
  styles: `
    :host,
    .plot {
      display: block;
      width: 100%;
      height: 100%;
      min-height: 17rem;
    }
  `,
})
export class LogChart extends PlotHost {
  readonly sets = input.required<readonly Points[]>();
  readonly xAxis = input.required<Axis>();
  readonly yAxis = input.required<Axis>();
  /** From one end to the other: where points would lie if all were as foretold. */
  readonly line = input<readonly (readonly [number, number])[]>([]);
  /** Half the width of the band round the line, as a share. */
  readonly band = input(0);

  protected shows(): void {
    this.sets();
    this.line();
    this.band();
  }

  protected picture(colour: (name: string) => string): Picture {
    const font = { family: 'Atkinson Hyperlegible Next Variable, sans-serif', color: colour('--ink-2'), size: 13 };
    const line = this.line();
    const by = this.band();
    const along = (k: number): Data => ({
      x: line.map((p) => p[0]),
      y: line.map((p) => p[1] * k),
      mode: 'lines',
      line: { width: 0 },
      hoverinfo: 'skip',
      showlegend: false,
    });
    const data: Data[] = [
      ...(by > 0 && line.length > 0 ? [along(1 - by), { ...along(1 + by), fill: 'tonexty', fillcolor: colour('--heat-wash') } as Data] : []), // prettier-ignore
      ...(line.length > 0 ? [{ x: line.map((p) => p[0]), y: line.map((p) => p[1]), mode: 'lines', line: { color: colour('--heat-line'), width: 1.6 }, hoverinfo: 'skip', showlegend: false } as Data] : []), // prettier-ignore
      ...this.sets().map((s): Data => ({
        x: [...s.x],
        y: [...s.y],
        text: [...s.words],
        ...(s.name !== undefined && { name: s.name }),
        mode: s.joined ? 'lines+markers' : 'markers',
        line: { color: colour(s.colour), width: 2 },
        marker: {
          size: 10,
          color: s.hollow ? colour('--enamel') : colour(s.colour),
          line: { color: colour(s.colour), width: 2 },
        },
        hovertemplate: '%{text}<extra></extra>',
      })),
    ];
    const axis = (a: Axis): Partial<Layout['xaxis']> => ({
      title: { text: a.title, font, standoff: 8 },
      ...(a.range && { range: [...a.range] }),
      ...(a.ticks && { tickvals: a.ticks.map((t) => t[0]), ticktext: a.ticks.map((t) => t[1]) }),
      ...(a.suffix && { ticksuffix: a.suffix }),
      gridcolor: colour('--hair'),
      zeroline: false,
      linecolor: colour('--rim-soft'),
      showline: true,
      fixedrange: true,
    });
    const layout: Partial<Layout> = {
      margin: { l: this.yAxis().ticks ? 100 : 62, r: 14, t: 8, b: 48 },
      paper_bgcolor: 'rgba(0,0,0,0)',
      plot_bgcolor: 'rgba(0,0,0,0)',
      showlegend: this.sets().some((s) => s.name !== undefined),
      legend: { orientation: 'h', y: 1.12, font },
      font,
      hovermode: 'closest',
      hoverlabel: { font: { ...font, color: colour('--ink') }, bgcolor: colour('--enamel') },
      xaxis: axis(this.xAxis()) as Layout['xaxis'],
      yaxis: axis(this.yAxis()) as Layout['yaxis'],
    };
    return { data, layout };
  }
}
