import type { ComponentType } from 'react';
import { createBrowserRouter, type RouteObject } from 'react-router';
import { Lost } from './shell/Lost';
import { Shell } from './shell/Shell';

/** A screen at an address; it loads when it is first opened. */
const page = <Name extends string>(
  path: string,
  load: () => Promise<Readonly<Record<Name, ComponentType>>>,
  name: Name,
): RouteObject => ({ path, lazy: async () => ({ Component: (await load())[name] }) });

/** Every address of the app. Screens load when they are first opened. */
export const router = createBrowserRouter([
  {
    Component: Shell,
    errorElement: <Lost />,
    hydrateFallbackElement: <p />,
    children: [
      { index: true, lazy: async () => ({ Component: (await import('./today/Today')).Today }) },
      page('account', () => import('./session/Account'), 'Account'),
      page('bench', () => import('./bench/BenchIndex'), 'BenchIndex'),
      page('bench/which', () => import('./bench/WhichInstrument'), 'WhichInstrument'),
      page('bench/balance', () => import('./bench/ConnectedBalance'), 'ConnectedBalance'),
      page('bench/instruments/:kind', () => import('./bench/InstrumentPage'), 'InstrumentPage'),
      page('bench/:settingId', () => import('./bench/Station'), 'Station'),
      page('figures', () => import('./figures/Workbench'), 'Workbench'),
      page('figures/drills', () => import('./figures/Drills'), 'Drills'),
      page('figures/drills/:itemId', () => import('./figures/DrillPage'), 'DrillPage'),
      page('figures/rearrange', () => import('./figures/Rearrange'), 'Rearrange'),
      page('figures/spot', () => import('./figures/SpotTheFault'), 'SpotTheFault'),
      page('figures/identify', () => import('./figures/Identify'), 'Identify'),
      page('figures/cards', () => import('./figures/Cards'), 'Cards'),
      page('logbook', () => import('./logbook/LogbookIndex'), 'LogbookIndex'),
      {
        path: 'logbook/:logbookId',
        lazy: async () => ({ Component: (await import('./logbook/Logbook')).Logbook }),
        children: [
          {
            index: true,
            lazy: async () => ({ Component: (await import('./logbook/Measure')).Measure }),
          },
          page('uncertainty', () => import('./logbook/Uncertainty'), 'Uncertainty'),
          page('compare', () => import('./compare/LogbookCompare'), 'LogbookCompare'),
          page('review', () => import('./logbook/ReviewPage'), 'ReviewPage'),
          page('check', () => import('./logbook/CheckPage'), 'CheckPage'),
          page('second-look', () => import('./logbook/SecondLook'), 'SecondLook'),
          page('history', () => import('./logbook/History'), 'History'),
          page('report', () => import('./logbook/Report'), 'Report'),
        ],
      },
      page('compare/try', () => import('./compare/TryIt'), 'TryIt'),
      page('stock', () => import('./stock/Stockroom'), 'Stockroom'),
      page('stock/labels', () => import('./stock/Labels'), 'Labels'),
      page('stock/compare', () => import('./compare/PiecesCompare'), 'PiecesCompare'),
      page('stock/materials', () => import('./stock/Materials'), 'Materials'),
      page('stock/:tag', () => import('./stock/PiecePage'), 'PiecePage'),
      page(
        'class/:classId/investigations',
        () => import('./classroom/investigations/Investigations'),
        'Investigations',
      ),
      page(
        'class/:classId/investigations/edit',
        () => import('./classroom/investigations/InvestigationEditor'),
        'InvestigationEditor',
      ),
      page('class/:classId', () => import('./classroom/Board'), 'Board'),
      page('class/:classId/tasks', () => import('./classroom/Tasks'), 'Tasks'),
      page('class/:classId/staff', () => import('./classroom/ClassStaff'), 'ClassStaff'),
      page('class/:classId/students/:studentId', () => import('./classroom/StudentPage'), 'StudentPage'),
      page('class/:classId/marks', () => import('./classroom/BookOfMarks'), 'BookOfMarks'),
      page('class/:classId/benches', () => import('./classroom/Benches'), 'Benches'),
      page('class/:classId/compare', () => import('./compare/CompareIndex'), 'CompareIndex'),
      page('class/:classId/compare/together', () => import('./compare/together/Together'), 'Together'),
      page('class/:classId/compare/readings', () => import('./compare/ReadingsCompare'), 'ReadingsCompare'),
      page('class/:classId/compare/:investigationId', () => import('./compare/ClassCompare'), 'ClassCompare'),
      page('class/:classId/question', () => import('./classroom/ClassQuestion'), 'ClassQuestion'),
      page('class/:classId/rules', () => import('./classroom/HouseRules'), 'HouseRules'),
      page('class/:classId/rules/print', () => import('./classroom/RulesToPrint'), 'ClassRulesToPrint'),
      page('rules', () => import('./classroom/RulesToPrint'), 'OwnRulesToPrint'),
      page('class/:classId/roster', () => import('./classroom/Roster'), 'Roster'),
      { path: '*', Component: Lost },
    ],
  },
]);
