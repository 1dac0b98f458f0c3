import type { Routes } from '@angular/router';
import { inject } from '@angular/core';
import { Kitchens } from './data/kitchens';
import { withPrime } from './ui/prime';
import type { UndoScope } from './ui/undo';

const inKitchen = (): Promise<true> =>
  inject(Kitchens)
    .start()
    .then(() => true);

/** Enough for a view of one formula; what is in the log may still be on its way. */
const atFormula = (): Promise<true> =>
  inject(Kitchens)
    .seen()
    .then(() => true);

/** What undo takes back in a view, which begins when the kitchen is open and the component library is there. */
const undo = (scope: UndoScope) => ({
  data: { undo: scope },
  canActivate: [scope === 'formula' ? atFormula : inKitchen, withPrime],
});

/** The views, in the order of the work. Each loads when it is first needed. */
export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'shelf' },
  {
    // the first screen does without the component library, and is drawn while the kitchen is opened
    path: 'shelf',
    data: { undo: 'shelf' satisfies UndoScope },
    title: 'Shelf · Orvin',
    loadComponent: () => import('./shelf/shelf').then((m) => m.Shelf),
  },
  {
    path: 'own',
    ...undo('none'),
    title: 'A kitchen of your own · Orvin',
    loadComponent: () => import('./own/own').then((m) => m.Own),
  },
  {
    path: 'try',
    ...undo('none'),
    title: 'Learn by trying · Orvin',
    loadComponent: () => import('./try/try').then((m) => m.TryView),
  },
  {
    path: 'take',
    ...undo('none'),
    title: 'A formula from a link · Orvin',
    loadComponent: () => import('./share/take').then((m) => m.Take),
  },
  {
    path: 'read',
    ...undo('own'),
    title: 'Reading · Orvin',
    loadComponent: () => import('./shelf/proof').then((m) => m.Proof),
  },
  {
    path: 'compose',
    ...undo('none'),
    title: 'New formula · Orvin',
    loadComponent: () => import('./compose/compose').then((m) => m.ComposeView),
  },
  {
    path: 'bench/:id',
    ...undo('formula'),
    title: 'Bench · Orvin',
    loadComponent: () => import('./bench/bench').then((m) => m.Bench),
  },
  {
    path: 'beside/:id',
    ...undo('formula'),
    title: 'Side by side · Orvin',
    loadComponent: () => import('./bench/beside').then((m) => m.BesideView),
  },
  {
    path: 'versions/:id',
    ...undo('formula'),
    title: 'Versions · Orvin',
    loadComponent: () => import('./versions/versions').then((m) => m.Versions),
  },
  {
    path: 'card/:id',
    ...undo('formula'),
    title: 'Card · Orvin',
    loadComponent: () => import('./bench/card').then((m) => m.Card),
  },
  {
    path: 'label/:id',
    ...undo('formula'),
    title: 'Label · Orvin',
    loadComponent: () => import('./label/label').then((m) => m.LabelView),
  },
  {
    path: 'tins/:id',
    ...undo('formula'),
    title: 'Tins · Orvin',
    loadComponent: () => import('./tins/tins').then((m) => m.Tins),
  },
  {
    path: 'day/:id',
    ...undo('day'),
    title: 'Day · Orvin',
    loadComponent: () => import('./day/day').then((m) => m.Day),
  },
  {
    path: 'counter/:id',
    ...undo('day'),
    title: 'Counter · Orvin',
    loadComponent: () => import('./counter/counter').then((m) => m.Counter),
  },
  { path: 'log', ...undo('log'), title: 'Log · Orvin', loadComponent: () => import('./log/log').then((m) => m.Log) },
  {
    path: 'log/:id',
    ...undo('log'),
    title: 'Log · Orvin',
    loadComponent: () => import('./log/log').then((m) => m.Log),
  },
  {
    path: 'larder',
    ...undo('kitchen'),
    title: 'Larder · Orvin',
    loadComponent: () => import('./larder/larder').then((m) => m.Larder),
  },
  { path: '**', redirectTo: 'shelf' },
];
