import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { SymptomId } from '@orvin/core';

/** One stroke of a drawing: what it stands for, and its path in a box of 60 × 44. */
type Stroke = readonly [kind: 'crumb' | 'pale' | 'burnt' | 'tin' | 'ghost' | 'wet' | 'hole' | 'line' | 'piece' | 'alkali' | 'drop', d: string]; // prettier-ignore

const DOME = 'M10 38 L9 20 Q30 7 51 20 L50 38 Z';
const INNER = 'M19 33 Q30 15 41 33 Q30 37 19 33 Z';
const round = (x: number, y: number, r: number): string =>
  `M${x - r} ${y} a${r} ${r} 0 1 0 ${2 * r} 0 a${r} ${r} 0 1 0 ${-2 * r} 0 Z`;
const dots = (list: readonly (readonly [number, number, number])[]): string => list.map(([x, y, r]) => round(x, y, r)).join(' '); // prettier-ignore
const square = (x: number, y: number): string => `M${x} ${y} h5 v4 h-5 Z`;

/** A slice as it looks with each symptom; our own drawings. */
const drawings: Readonly<Record<SymptomId, readonly Stroke[]>> = {
  sunk: [['ghost', 'M9 20 Q30 7 51 20'], ['crumb', 'M10 38 L9 17 Q19 12 30 27 Q41 12 51 17 L50 38 Z']],
  cracked: [['crumb', 'M10 38 L9 22 Q19 6 27 5 L29 15 L31 9 L34 5 Q42 6 51 22 L50 38 Z'], ['line', 'M29 15 L30 24']],
  flat: [['ghost', 'M9 20 Q30 7 51 20'], ['crumb', 'M10 38 L10 31 Q30 28 50 31 L50 38 Z']],
  peaked: [['crumb', 'M10 38 L9 22 Q24 17 30 2 Q36 17 51 22 L50 38 Z']],
  lopsided: [['ghost', 'M9 20 Q30 7 51 20'], ['crumb', 'M10 38 L10 30 Q36 20 51 9 L50 38 Z']],
  spread: [['ghost', 'M16 38 V16 H44 V38'], ['crumb', 'M3 38 Q5 30 30 28 Q55 30 57 38 Z']],
  shrank: [['ghost', 'M10 38 L9 20 Q30 7 51 20 L50 38'], ['crumb', 'M16 38 L15 26 Q30 20 45 26 L44 38 Z']],
  overflowed: [['crumb', 'M13 38 L9 19 L4 21 Q2 29 6 31 L8 23 Q30 5 52 23 L54 33 Q58 28 56 21 L51 19 L47 38 Z'], ['tin', 'M9 17 L13 38 H47 L51 17']],
  'uneven layers': [['crumb', 'M5 38 V26 Q16 21 27 26 V38 Z'], ['crumb', 'M33 38 V15 Q44 9 55 15 V38 Z']],
  tunnels: [['crumb', DOME], ['hole', 'M18 34 Q17 24 21 18 Q23 26 21 34 Z M28 35 Q26 20 31 12 Q34 22 32 35 Z M39 34 Q37 26 41 18 Q43 26 43 33 Z']],
  coarse: [['crumb', DOME], ['hole', dots([[18, 30, 3.6], [28, 20, 4.4], [37, 31, 4.2], [43, 22, 2.8], [27, 32, 2.2], [19, 21, 2]])]],
  gummy: [['crumb', DOME], ['wet', INNER]],
  'wet streak': [['crumb', DOME], ['wet', 'M10 36.5 L10 31 Q30 28 50 31 L50 36.5 Z']],
  'add-ins sank': [['crumb', DOME], ['piece', [14, 22, 30, 38].map((x) => square(x, 32)).join(' ')], ['piece', [18, 34, 42].map((x) => square(x, 27)).join(' ')]],
  specks: [['crumb', DOME], ['alkali', dots([[18, 27, 1.8], [25, 20, 1.5], [31, 29, 2], [38, 22, 1.6], [43, 30, 1.7], [24, 33, 1.4], [34, 16, 1.4]])]],
  dry: [['crumb', DOME], ['line', 'M16 24 l5 3 M24 18 l4 5 M33 20 l6 2 M18 32 l7 1 M30 29 l5 4 M40 29 l6 2']],
  crumbly: [['crumb', 'M10 38 L9 20 Q24 10 36 13 L33 19 L38 23 L34 28 L39 32 L36 38 Z'], ['piece', dots([[42, 36, 1.8], [46, 31, 1.4], [49, 37, 1.5], [43, 27, 1.2], [54, 36, 1.1]])]],
  tough: [['crumb', DOME], ['line', 'M14 24 q4 -4 8 0 t8 0 t8 0 t8 0 M14 31 q4 -4 8 0 t8 0 t8 0 t8 0']],
  greasy: [['crumb', DOME], ['drop', 'M18 39 q-3 4 0 4 q3 0 0 -4 Z M30 39 q-3 4 0 4 q3 0 0 -4 Z M42 39 q-3 4 0 4 q3 0 0 -4 Z'], ['drop', 'M10 37 H50 V38.5 H10 Z']],
  pale: [['pale', DOME]],
  'very dark': [['burnt', DOME]],
  'dark outside, raw inside': [['burnt', DOME], ['wet', INNER]],
  stuck: [['crumb', 'M15 30 L17 22 L14 14 Q30 5 46 14 L43 21 L46 27 L42 31 L37 27 L31 32 L25 27 L20 32 Z'], ['tin', 'M9 18 L13 40 H47 L51 18'], ['piece', 'M14 39 L17 34 L22 38 L28 35 L34 38 L41 34 L46 39 Z']],
  'soggy base': [['crumb', DOME], ['drop', 'M10 35 q5 -3 10 0 t10 0 t10 0 t10 0 V38.5 H10 Z']],
  soapy: [['crumb', 'M10 38 L9 20 Q24 10 34 11 Q28 18 36 22 Q31 30 40 32 Q38 37 40 38 Z'], ['alkali', dots([[46, 26, 3], [52, 18, 2.2], [45, 15, 1.8], [54, 29, 1.6]])]],
  bitter: [['crumb', 'M10 38 L9 20 Q24 10 34 11 Q28 18 36 22 Q31 30 40 32 Q38 37 40 38 Z'], ['line', 'M45 17 l9 9 M54 17 l-9 9']],
  curdled: [['tin', 'M7 17 Q10 40 30 40 Q50 40 53 17'], ['hole', 'M10 23 H50 Q47 37 30 37 Q13 37 10 23 Z'], ['crumb', dots([[17, 26, 2], [23, 30, 2.2], [30, 26, 2.1], [37, 31, 2.2], [43, 26, 2], [29, 33.5, 1.7]])]],
}; // prettier-ignore

/** A slice with one symptom. */
@Component({
  selector: 'orvin-symptom-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg viewBox="0 0 60 44" aria-hidden="true">
    @for (s of strokes(); track $index) {
      <path [class]="s[0]" [attr.d]="s[1]" />
    }
  </svg>`,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
    }
    path {
      fill: none;
      stroke-linejoin: round;
      stroke-linecap: round;
    }
    .crumb {
      fill: var(--batter);
      stroke: var(--crust);
      stroke-width: 2.4;
    }
    .pale {
      fill: var(--batter);
      stroke: var(--rim-soft);
      stroke-width: 1.6;
    }
    .burnt {
      fill: var(--batter);
      stroke: var(--step-7);
      stroke-width: 5;
    }
    .tin {
      stroke: var(--rim);
      stroke-width: 2.6;
    }
    .ghost {
      stroke: var(--rim-soft);
      stroke-width: 1.6;
      stroke-dasharray: 3 3;
    }
    .wet {
      fill: var(--crust);
      opacity: 0.75;
    }
    .hole {
      fill: var(--enamel);
      stroke: var(--crust);
      stroke-width: 1;
    }
    .line {
      stroke: var(--step-6);
      stroke-width: 1.8;
    }
    .piece {
      fill: var(--step-6);
    }
    .alkali {
      fill: var(--alkali-line);
    }
    .drop {
      fill: var(--liquid);
    }
  `,
})
export class SymptomDrawing {
  readonly of = input.required<SymptomId>();
  protected readonly strokes = computed(() => drawings[this.of()]);
}
