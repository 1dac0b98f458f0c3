import { ChangeDetectionStrategy, Component, Injector, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterLink, RouterOutlet, type Routes } from '@angular/router';
import { filter, first, map, tap } from 'rxjs';
import { Kitchens } from './data/kitchens';
import { Notices } from './data/notices';
import { Store } from './data/store';
import { formats } from './data/formats';
import { Desk } from './desk/desk';
import { Ahead } from './ui/ahead';
import { FinderPanel } from './ui/finder';
import { KeysPanel } from './ui/keys';
import { MissingPart } from './ui/missing-part';
import { Panels } from './ui/panels';
import { ShutPanel } from './ui/shut';
import { Theme } from './ui/theme';
import { Undo } from './ui/undo';
import { Updates } from './ui/updates';
import { WhyPanel } from './ui/why';

interface Hook {
  readonly name: string;
  readonly path: string;
  /** Whether it is about the formula in hand. */
  readonly hand: boolean;
  /** Whether the phone's rail has room for it. */
  readonly phone: boolean;
}

const hooks: readonly Hook[] = [
  { name: 'Shelf', path: 'shelf', hand: false, phone: true },
  { name: 'Bench', path: 'bench', hand: true, phone: false },
  { name: 'Tins', path: 'tins', hand: true, phone: false },
  { name: 'Day', path: 'day', hand: true, phone: false },
  { name: 'Counter', path: 'counter', hand: true, phone: true },
  { name: 'Log', path: 'log', hand: true, phone: false },
  { name: 'Larder', path: 'larder', hand: false, phone: false },
];

/** Pages that belong to a view of the rail. */
const within: Readonly<Record<string, string>> = {
  versions: 'bench',
  beside: 'bench',
  card: 'bench',
  label: 'bench',
  compose: 'shelf',
  read: 'shelf',
  own: 'shelf',
  take: 'shelf',
  try: 'shelf',
};

/** Loads the views, in the order in which a formula goes through them. */
function aheadOf(routes: Routes): (() => unknown)[] {
  const all = ['bench', 'tins', 'read', 'day', 'counter', 'log', 'larder', 'shelf', 'compose', 'card', 'versions'];
  return all.flatMap((view) => routes.find((r) => r.path?.split('/')[0] === view)?.loadComponent ?? []);
}

/** The rail with the views hung on it, the view, what is said at the foot, and the overlays. */
@Component({
  selector: 'orvin-root',
  imports: [RouterOutlet, RouterLink, WhyPanel, KeysPanel, FinderPanel, MissingPart, ShutPanel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
  templateUrl: './app.html',
  styleUrl: './app.scss',
})
export class App {
  private readonly router = inject(Router);
  protected readonly desk = inject(Desk);
  protected readonly kitchens = inject(Kitchens);
  protected readonly notices = inject(Notices);
  protected readonly panels = inject(Panels);
  protected readonly theme = inject(Theme);
  protected readonly undo = inject(Undo);
  protected readonly updates = inject(Updates);
  protected readonly store = inject(Store);
  /** What is on the screen of this kitchen only. */
  protected readonly loose = computed(() => this.store.edits.stuck().filter((e) => e.db === this.store.name()));
  protected readonly looseWords = computed(() => this.loose().map((e) => e.label).join(', ')); // prettier-ignore
  /** The view is of a formula that is not there. */
  protected readonly missing = computed(() => this.undo.scope() === 'formula' && this.desk.missing());
  protected readonly hooks = hooks;
  /** On a phone, whether the whole rail is let down. */
  protected readonly all = signal(false);
  private readonly url = toSignal(
    this.router.events.pipe(
      filter((e) => e instanceof NavigationEnd),
      tap(() => this.all.set(false)),
      map((e) => e.urlAfterRedirects),
    ),
    { initialValue: '' },
  );
  protected readonly view = computed(() => {
    const path = this.url().split(/[/?#]/)[1] ?? '';
    return within[path] ?? path;
  });

  constructor() {
    const ahead = inject(Ahead);
    const injector = inject(Injector);
    const arrivals = this.router.events.pipe(filter((e) => e instanceof NavigationEnd));
    arrivals.pipe(first()).subscribe(() => void ahead.gather(aheadOf(this.router.config)));
    // where something can be changed, the checks must be there before it is stored
    arrivals
      .pipe(first((e) => !e.urlAfterRedirects.startsWith('/shelf')))
      .subscribe(() => void formats().catch(() => undefined));
    this.notices.rescue = {
      label: 'export the kitchen',
      run: () => void import('./data/backup').then(({ Backup }) => injector.get(Backup).exportKitchen()),
    };
  }

  protected link(h: Hook): readonly string[] | null {
    if (!h.hand) return ['/', h.path];
    const made = h.path === 'counter' ? this.updates.made() : null;
    if (made) return ['/', 'counter', made.id];
    const id = this.desk.id();
    if (id !== null) return ['/', h.path, id];
    return h.path === 'log' ? ['/', 'log'] : null;
  }

  protected key(e: KeyboardEvent): void {
    const target = e.target as HTMLElement;
    const typing = /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable;
    const meta = e.ctrlKey || e.metaKey;
    // in a text area, and in a field of a view that keeps its steps itself, the browser takes back what is typed
    const letters = typing && (target.tagName === 'TEXTAREA' || this.undo.scope() === 'own');
    if (meta && e.key.toLowerCase() === 'z' && !letters) {
      e.preventDefault();
      if (typing) target.blur();
      void (e.shiftKey ? this.undo.redo() : this.undo.undo());
      return;
    }
    if (meta && e.key.toLowerCase() === 'y' && !typing) {
      e.preventDefault();
      void this.undo.redo();
      return;
    }
    if (e.key === 'Escape' && !this.panels.anyOpen && this.desk.ghost()) return this.desk.drop();
    if (typing || meta || e.altKey || this.panels.anyOpen || e.defaultPrevented) return;
    if (e.key === '?') this.panels.openKeys();
    else if (e.key === '/') {
      e.preventDefault();
      this.panels.openFind();
    } else if (e.key.toLowerCase() === 'd') this.theme.toggle();
    else if (/^[1-7]$/.test(e.key)) {
      const hook = hooks[Number(e.key) - 1];
      const to = hook && this.link(hook);
      if (to) void this.router.navigate([...to]);
      else this.notices.say('Take a formula from the Shelf first.');
    }
  }
}
