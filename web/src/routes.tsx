import { createBrowserRouter } from 'react-router';
import { Lost } from './shell/Lost';
import { Shell } from './shell/Shell';

/** Every address of the app. Screens load when they are first opened. */
export const router = createBrowserRouter([
  {
    Component: Shell,
    errorElement: <Lost />,
    hydrateFallbackElement: <p />,
    children: [
      { index: true, lazy: async () => ({ Component: (await import('./today/Today')).Today }) },
      { path: 'account', lazy: async () => ({ Component: (await import('./session/Account')).Account }) },
      { path: 'bench', lazy: async () => ({ Component: (await import('./bench/BenchIndex')).BenchIndex }) },
      {
        path: 'bench/which',
        lazy: async () => ({ Component: (await import('./bench/WhichInstrument')).WhichInstrument }),
      },
      {
        path: 'bench/balance',
        lazy: async () => ({ Component: (await import('./bench/ConnectedBalance')).ConnectedBalance }),
      },
      {
        path: 'bench/instruments/:kind',
        lazy: async () => ({ Component: (await import('./bench/InstrumentPage')).InstrumentPage }),
      },
      {
        path: 'bench/:settingId',
        lazy: async () => ({ Component: (await import('./bench/Station')).Station }),
      },
      {
        path: 'figures',
        lazy: async () => ({ Component: (await import('./figures/Workbench')).Workbench }),
      },
      {
        path: 'figures/drills',
        lazy: async () => ({ Component: (await import('./figures/Drills')).Drills }),
      },
      {
        path: 'figures/drills/:itemId',
        lazy: async () => ({ Component: (await import('./figures/DrillPage')).DrillPage }),
      },
      {
        path: 'figures/rearrange',
        lazy: async () => ({ Component: (await import('./figures/Rearrange')).Rearrange }),
      },
      {
        path: 'figures/spot',
        lazy: async () => ({ Component: (await import('./figures/SpotTheFault')).SpotTheFault }),
      },
      {
        path: 'figures/identify',
        lazy: async () => ({ Component: (await import('./figures/Identify')).Identify }),
      },
      { path: 'figures/cards', lazy: async () => ({ Component: (await import('./figures/Cards')).Cards }) },
      {
        path: 'logbook',
        lazy: async () => ({ Component: (await import('./logbook/LogbookIndex')).LogbookIndex }),
      },
      {
        path: 'logbook/:logbookId',
        lazy: async () => ({ Component: (await import('./logbook/Logbook')).Logbook }),
        children: [
          {
            index: true,
            lazy: async () => ({ Component: (await import('./logbook/Measure')).Measure }),
          },
          {
            path: 'uncertainty',
            lazy: async () => ({ Component: (await import('./logbook/Uncertainty')).Uncertainty }),
          },
          {
            path: 'compare',
            lazy: async () => ({
              Component: (await import('./compare/LogbookCompare')).LogbookCompare,
            }),
          },
          {
            path: 'review',
            lazy: async () => ({ Component: (await import('./logbook/ReviewPage')).ReviewPage }),
          },
          {
            path: 'check',
            lazy: async () => ({ Component: (await import('./logbook/CheckPage')).CheckPage }),
          },
          {
            path: 'second-look',
            lazy: async () => ({ Component: (await import('./logbook/SecondLook')).SecondLook }),
          },
          {
            path: 'history',
            lazy: async () => ({ Component: (await import('./logbook/History')).History }),
          },
          {
            path: 'report',
            lazy: async () => ({ Component: (await import('./logbook/Report')).Report }),
          },
        ],
      },
      { path: 'compare/try', lazy: async () => ({ Component: (await import('./compare/TryIt')).TryIt }) },
      { path: 'stock', lazy: async () => ({ Component: (await import('./stock/Stockroom')).Stockroom }) },
      { path: 'stock/labels', lazy: async () => ({ Component: (await import('./stock/Labels')).Labels }) },
      {
        path: 'stock/compare',
        lazy: async () => ({ Component: (await import('./compare/PiecesCompare')).PiecesCompare }),
      },
      {
        path: 'stock/materials',
        lazy: async () => ({ Component: (await import('./stock/Materials')).Materials }),
      },
      {
        path: 'stock/:tag',
        lazy: async () => ({ Component: (await import('./stock/PiecePage')).PiecePage }),
      },
      {
        path: 'class/:classId/investigations',
        lazy: async () => ({
          Component: (await import('./classroom/investigations/Investigations')).Investigations,
        }),
      },
      {
        path: 'class/:classId/investigations/edit',
        lazy: async () => ({
          Component: (await import('./classroom/investigations/InvestigationEditor')).InvestigationEditor,
        }),
      },
      {
        path: 'class/:classId',
        lazy: async () => ({ Component: (await import('./classroom/Board')).Board }),
      },
      {
        path: 'class/:classId/tasks',
        lazy: async () => ({ Component: (await import('./classroom/Tasks')).Tasks }),
      },
      {
        path: 'class/:classId/staff',
        lazy: async () => ({ Component: (await import('./classroom/ClassStaff')).ClassStaff }),
      },
      {
        path: 'class/:classId/students/:studentId',
        lazy: async () => ({ Component: (await import('./classroom/StudentPage')).StudentPage }),
      },
      {
        path: 'class/:classId/marks',
        lazy: async () => ({ Component: (await import('./classroom/BookOfMarks')).BookOfMarks }),
      },
      {
        path: 'class/:classId/benches',
        lazy: async () => ({ Component: (await import('./classroom/Benches')).Benches }),
      },
      {
        path: 'class/:classId/compare',
        lazy: async () => ({ Component: (await import('./compare/CompareIndex')).CompareIndex }),
      },
      {
        path: 'class/:classId/compare/together',
        lazy: async () => ({ Component: (await import('./compare/together/Together')).Together }),
      },
      {
        path: 'class/:classId/compare/readings',
        lazy: async () => ({ Component: (await import('./compare/ReadingsCompare')).ReadingsCompare }),
      },
      {
        path: 'class/:classId/compare/:investigationId',
        lazy: async () => ({ Component: (await import('./compare/ClassCompare')).ClassCompare }),
      },
      {
        path: 'class/:classId/question',
        lazy: async () => ({ Component: (await import('./classroom/ClassQuestion')).ClassQuestion }),
      },
      {
        path: 'class/:classId/rules',
        lazy: async () => ({ Component: (await import('./classroom/HouseRules')).HouseRules }),
      },
      {
        path: 'class/:classId/rules/print',
        lazy: async () => ({ Component: (await import('./classroom/RulesToPrint')).ClassRulesToPrint }),
      },
      {
        path: 'rules',
        lazy: async () => ({ Component: (await import('./classroom/RulesToPrint')).OwnRulesToPrint }),
      },
      {
        path: 'class/:classId/roster',
        lazy: async () => ({ Component: (await import('./classroom/Roster')).Roster }),
      },
      { path: '*', Component: Lost },
    ],
  },
]);
