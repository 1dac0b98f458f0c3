import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { markScales, symptoms, type Estimate, type Marks, type SymptomId } from '@orvin/core';
import { findBakes } from './find';
import { lineOf } from './line';
import { MarksPart } from './marks-part';
import { MeasureField } from './measure-field';
import { OvenDial } from './oven-dial';
import { SymptomPicker } from './symptom-picker';
import { record } from './testing/record';

@Component({
  imports: [MarksPart, MeasureField, OvenDial, SymptomPicker],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <orvin-marks [marks]="marks()" (marked)="marks.set($event)" />
    <orvin-symptom-picker [chosen]="seen()" (chose)="seen.set($event)" />
    <orvin-measure
      name="Height"
      unit="mm"
      [value]="height()"
      [low]="1"
      [high]="400"
      (took)="took.push($event); height.set($event)"
    />
    <orvin-oven-dial
      [off]="band(off())"
      [racks]="[{ rack: 'top', low: 17, typical: 22, high: 27, bakes: 2 }]"
      label="the oven"
    />
  `,
})
class Host {
  readonly marks = signal<Marks>({});
  readonly seen = signal<readonly SymptomId[]>([]);
  readonly height = signal<number | undefined>(40);
  readonly off = signal(9);
  protected readonly band = (k: number): Estimate => ({ low: k - 4, typical: k, high: k + 4, bakes: 3 });
  readonly took: (number | undefined)[] = [];
}

describe('the parts that say how a bake came out', () => {
  const made = async () => {
    const fixture = TestBed.createComponent(Host);
    await fixture.whenStable();
    const el = fixture.nativeElement as HTMLElement;
    const press = async (b: Element | undefined | null): Promise<void> => {
      (b as HTMLElement).click();
      await fixture.whenStable();
    };
    return { fixture, el, press, host: fixture.componentInstance };
  };

  it('marks a scale with one press, another moves it, the same takes it away', async () => {
    const { el, press, host } = await made();
    const scale = (name: string): Element => el.querySelector(`[aria-label="${name}"]`) as Element;
    const steps = (name: string): HTMLButtonElement[] => [...scale(name).querySelectorAll('button')];
    for (const s of markScales) {
      expect(steps(s.name).map((b) => b.textContent?.trim())).toEqual([...s.steps]);
      await press(steps(s.name)[3]);
      expect(host.marks()[s.id]).toBe(4);
    }
    await press(steps('Crumb')[1]);
    expect(host.marks().crumb).toBe(2);
    expect(steps('Crumb').map((b) => b.getAttribute('aria-pressed'))).toEqual(['false', 'true', 'false', 'false', 'false']); // prettier-ignore
    await press(steps('Crumb')[1]);
    expect('crumb' in host.marks()).toBeFalse();
    expect(Object.keys(host.marks()).length).toBe(markScales.length - 1);
  });

  it('shows every symptom as a slice with its name and words; several can be chosen', async () => {
    const { el, press, host } = await made();
    const picker = el.querySelector('orvin-symptom-picker') as Element;
    const buttons = [...picker.querySelectorAll('button')];
    expect(buttons.length).toBe(symptoms.length);
    for (const s of symptoms) {
      const b = buttons.find((x) => x.textContent?.trim().startsWith(s.name));
      expect(b?.textContent).withContext(s.id).toContain(s.words);
      // its drawing has strokes that can be drawn
      const paths = [...(b?.querySelectorAll('path') ?? [])].map((p) => p.getAttribute('d') ?? '');
      expect(paths.length).withContext(s.id).toBeGreaterThan(0);
      for (const d of paths)
        expect(d)
          .withContext(s.id)
          .toMatch(/^M[\d. ]/);
    }
    await press(buttons.find((b) => b.textContent?.includes('gummy')));
    await press(buttons.find((b) => b.textContent?.includes('tunnels')));
    expect(host.seen()).toEqual(['gummy', 'tunnels']);
    await press(buttons.find((b) => b.textContent?.includes('gummy')));
    expect(host.seen()).toEqual(['tunnels']);
  });

  it('takes a figure as it is typed, with comma or unit; what cannot be one is kept on the screen and said', async () => {
    const { fixture, el, host } = await made();
    const field = el.querySelector('orvin-measure input') as HTMLInputElement;
    const type = async (text: string): Promise<void> => {
      field.value = text;
      field.dispatchEvent(new Event('change'));
      await fixture.whenStable();
    };
    await type('42,5');
    await type('43 mm');
    expect(host.took).toEqual([42.5, 43]);
    for (const bad of ['4000', '-3', 'high']) {
      await type(bad);
      expect(host.took.length).withContext(bad).toBe(2);
      expect(el.querySelector('orvin-measure [role=alert]')?.textContent).toContain('Between 1 and 400 mm');
      expect(field.value).toBe(bad);
    }
    await type('44');
    expect(el.querySelector('orvin-measure [role=alert]')).toBeNull();
    await type('');
    expect(host.took).toEqual([42.5, 43, 44, undefined]);
  });

  it('points the dial to where the air is, and never off it', async () => {
    const { fixture, el, host } = await made();
    const x = (): number => Number(el.querySelector('circle.now')?.getAttribute('cx'));
    const hot = x();
    expect(hot).toBeGreaterThan(60);
    host.off.set(-9);
    await fixture.whenStable();
    expect(x()).toBeCloseTo(120 - hot, 1);
    host.off.set(500);
    await fixture.whenStable();
    expect(x()).toBeLessThan(120);
    expect(el.querySelectorAll('circle.now').length).toBe(2);
  });
});

describe('a line of the timeline', () => {
  it('says how a time lay to what was foretold, and keeps its place on the strip', () => {
    const at = (minutes: number): ReturnType<typeof lineOf> => lineOf(record({ minutes }), 'UTC');
    expect(at(18).off).toBe('as predicted');
    expect(at(15).off).toBe('17 % sooner');
    expect(at(24).off).toBe('33 % later');
    expect(at(18).at).toBe(50);
    expect(at(15).at).toBeLessThan(at(18).at);
    for (const m of [1, 9, 60, 600]) {
      expect(at(m).at).toBeGreaterThanOrEqual(2);
      expect(at(m).at).toBeLessThanOrEqual(98);
    }
    expect(lineOf(record({ predicted: null }), 'UTC').off).toBe('nothing was predicted');
    expect(lineOf(record({ rack: 'top' }), 'UTC').tin).toContain('top rack');
    expect(lineOf(record(), 'UTC').when).toBe('Sat 3 Oct');
  });
});

describe('finding a bake', () => {
  const bakes = [
    record({ id: '1', title: 'Oat scones', notes: 'Tall.', result: { symptoms: ['lopsided'] } }),
    record({ id: '2', title: 'Rye loaf', outcome: 'sunk', at: Date.UTC(2026, 10, 20, 9), photos: ['p'] }),
    record({ id: '3', title: 'Rye loaf', notes: 'For Ada’s birthday', rack: 'top' }),
  ];
  const found = (words: string): string[] => findBakes(bakes, words, 'UTC').map((b) => b.id);

  it('takes every word from wherever it stands: name, notes, symptom, day, month, outcome, rack, photo', () => {
    expect(found('')).toEqual(['1', '2', '3']);
    expect(found('RYE')).toEqual(['2', '3']);
    expect(found('lopsided')).toEqual(['1']);
    expect(found('rye birthday')).toEqual(['3']);
    expect(found('november')).toEqual(['2']);
    expect(found('friday sunk')).toEqual(['2']);
    expect(found('3 october rye')).toEqual(['3']);
    expect(found('top rack')).toEqual(['3']);
    expect(found('photo')).toEqual(['2']);
    expect(found('rye quince')).toEqual([]);
  });
});
