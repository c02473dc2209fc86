import type { Screen } from '@green-beam/contract';
import { lazy, type ComponentType } from 'react';
import { Route, Routes } from 'react-router';
import { Guarded } from './shell/Guarded';
import { Lost } from './shell/Lost';
import { Shell } from './shell/Shell';

/** What stands at each address of the app. A screen loads when it is first opened. */
const pages: Readonly<Record<Screen, () => Promise<ComponentType>>> = {
  '/': () => import('./today/Today').then((own) => own.Today),
  '/account': () => import('./session/Account').then((own) => own.Account),
  '/bench': () => import('./bench/BenchIndex').then((own) => own.BenchIndex),
  '/bench/which': () => import('./bench/WhichInstrument').then((own) => own.WhichInstrument),
  '/bench/balance': () => import('./bench/ConnectedBalance').then((own) => own.ConnectedBalance),
  '/bench/instruments/:kind': () => import('./bench/InstrumentPage').then((own) => own.InstrumentPage),
  '/bench/:settingId': () => import('./bench/Station').then((own) => own.Station),
  '/figures': () => import('./figures/Workbench').then((own) => own.Workbench),
  '/figures/drills': () => import('./figures/Drills').then((own) => own.Drills),
  '/figures/drills/:itemId': () => import('./figures/DrillPage').then((own) => own.DrillPage),
  '/figures/rearrange': () => import('./figures/Rearrange').then((own) => own.Rearrange),
  '/figures/spot': () => import('./figures/SpotTheFault').then((own) => own.SpotTheFault),
  '/figures/identify': () => import('./figures/Identify').then((own) => own.Identify),
  '/figures/cards': () => import('./figures/Cards').then((own) => own.Cards),
  '/logbook': () => import('./logbook/LogbookIndex').then((own) => own.LogbookIndex),
  '/logbook/:logbookId': () => import('./logbook/Measure').then((own) => own.Measure),
  '/logbook/:logbookId/uncertainty': () => import('./logbook/Uncertainty').then((own) => own.Uncertainty),
  '/logbook/:logbookId/compare': () => import('./compare/LogbookCompare').then((own) => own.LogbookCompare),
  '/logbook/:logbookId/review': () => import('./logbook/ReviewPage').then((own) => own.ReviewPage),
  '/logbook/:logbookId/check': () => import('./logbook/CheckPage').then((own) => own.CheckPage),
  '/logbook/:logbookId/second-look': () => import('./logbook/SecondLook').then((own) => own.SecondLook),
  '/logbook/:logbookId/history': () => import('./logbook/History').then((own) => own.History),
  '/logbook/:logbookId/report': () => import('./logbook/Report').then((own) => own.Report),
  '/compare/try': () => import('./compare/TryIt').then((own) => own.TryIt),
  '/stock': () => import('./stock/Stockroom').then((own) => own.Stockroom),
  '/stock/labels': () => import('./stock/Labels').then((own) => own.Labels),
  '/stock/compare': () => import('./compare/PiecesCompare').then((own) => own.PiecesCompare),
  '/stock/materials': () => import('./stock/Materials').then((own) => own.Materials),
  '/stock/:tag': () => import('./stock/PiecePage').then((own) => own.PiecePage),
  '/class/:classId/investigations': () =>
    import('./classroom/investigations/Investigations').then((own) => own.Investigations),
  '/class/:classId/investigations/edit': () =>
    import('./classroom/investigations/InvestigationEditor').then((own) => own.InvestigationEditor),
  '/class/:classId': () => import('./classroom/Board').then((own) => own.Board),
  '/class/:classId/tasks': () => import('./classroom/Tasks').then((own) => own.Tasks),
  '/class/:classId/staff': () => import('./classroom/ClassStaff').then((own) => own.ClassStaff),
  '/class/:classId/students/:studentId': () =>
    import('./classroom/StudentPage').then((own) => own.StudentPage),
  '/class/:classId/marks': () => import('./classroom/BookOfMarks').then((own) => own.BookOfMarks),
  '/class/:classId/benches': () => import('./classroom/Benches').then((own) => own.Benches),
  '/class/:classId/compare': () => import('./compare/CompareIndex').then((own) => own.CompareIndex),
  '/class/:classId/compare/together': () => import('./compare/together/Together').then((own) => own.Together),
  '/class/:classId/compare/readings': () =>
    import('./compare/ReadingsCompare').then((own) => own.ReadingsCompare),
  '/class/:classId/compare/:investigationId': () =>
    import('./compare/ClassCompare').then((own) => own.ClassCompare),
  '/class/:classId/question': () => import('./classroom/ClassQuestion').then((own) => own.ClassQuestion),
  '/class/:classId/rules': () => import('./classroom/HouseRules').then((own) => own.HouseRules),
  '/class/:classId/rules/print': () =>
    import('./classroom/RulesToPrint').then((own) => own.ClassRulesToPrint),
  '/rules': () => import('./classroom/RulesToPrint').then((own) => own.OwnRulesToPrint),
  '/class/:classId/roster': () => import('./classroom/Roster').then((own) => own.Roster),
};

const addresses = Object.keys(pages) as Screen[];
const book = '/logbook/:logbookId';
const isOfBook = (address: string): boolean => address === book || address.startsWith(`${book}/`);

const Logbook = lazy(async () => ({ default: (await import('./logbook/Logbook')).Logbook }));
const elements = new Map(
  addresses.map((address) => {
    const Page = lazy(async () => ({ default: await pages[address]() }));
    return [address, <Page />];
  }),
);
const elementAt = (address: Screen) => elements.get(address);

export const Screens = () => (
  <Routes>
    <Route
      element={
        <Guarded>
          <Shell />
        </Guarded>
      }
    >
      {addresses
        .filter((address) => !isOfBook(address))
        .map((address) => (
          <Route key={address} path={address} element={elementAt(address)} />
        ))}
      {/* The pages of a logbook stand in one frame. */}
      <Route path={book} element={<Logbook />}>
        <Route index element={elementAt(book)} />
        {addresses
          .filter((address) => isOfBook(address) && address !== book)
          .map((address) => (
            <Route key={address} path={address} element={elementAt(address)} />
          ))}
      </Route>
      <Route path="*" element={<Lost />} />
    </Route>
  </Routes>
);
