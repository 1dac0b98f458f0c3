import type { Routes } from '@angular/router';

/** The views, in the order of the work. Each loads when it is first needed. */
export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'shelf' },
  { path: 'shelf', title: 'Shelf · Orvin', loadComponent: () => import('./shelf/shelf').then((m) => m.Shelf) },
  { path: 'read', title: 'Reading · Orvin', loadComponent: () => import('./shelf/proof').then((m) => m.Proof) },
  {
    path: 'compose',
    title: 'New formula · Orvin',
    loadComponent: () => import('./compose/compose').then((m) => m.ComposeView),
  },
  { path: 'bench/:id', title: 'Bench · Orvin', loadComponent: () => import('./bench/bench').then((m) => m.Bench) },
  {
    path: 'beside/:id',
    title: 'Side by side · Orvin',
    loadComponent: () => import('./bench/beside').then((m) => m.BesideView),
  },
  {
    path: 'versions/:id',
    title: 'Versions · Orvin',
    loadComponent: () => import('./versions/versions').then((m) => m.Versions),
  },
  { path: 'card/:id', title: 'Card · Orvin', loadComponent: () => import('./bench/card').then((m) => m.Card) },
  {
    path: 'label/:id',
    title: 'Label · Orvin',
    loadComponent: () => import('./label/label').then((m) => m.LabelView),
  },
  { path: 'tins/:id', title: 'Tins · Orvin', loadComponent: () => import('./tins/tins').then((m) => m.Tins) },
  { path: 'day/:id', title: 'Day · Orvin', loadComponent: () => import('./day/day').then((m) => m.Day) },
  {
    path: 'counter/:id',
    title: 'Counter · Orvin',
    loadComponent: () => import('./counter/counter').then((m) => m.Counter),
  },
  { path: 'log', title: 'Log · Orvin', loadComponent: () => import('./log/log').then((m) => m.Log) },
  { path: 'log/:id', title: 'Log · Orvin', loadComponent: () => import('./log/log').then((m) => m.Log) },
  { path: 'larder', title: 'Larder · Orvin', loadComponent: () => import('./larder/larder').then((m) => m.Larder) },
  { path: '**', redirectTo: 'shelf' },
];
