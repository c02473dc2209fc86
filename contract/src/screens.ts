/**
 * Every address of the pages, once: the app shows a screen at each, and the server answers for these. `:names` stand for anything.
 */
export const screens = [
  '/',
  '/account',
  '/bench',
  '/bench/which',
  '/bench/balance',
  '/bench/instruments/:kind',
  '/bench/:settingId',
  '/figures',
  '/figures/drills',
  '/figures/drills/:itemId',
  '/figures/rearrange',
  '/figures/spot',
  '/figures/identify',
  '/figures/cards',
  '/logbook',
  '/logbook/:logbookId',
  '/logbook/:logbookId/uncertainty',
  '/logbook/:logbookId/compare',
  '/logbook/:logbookId/review',
  '/logbook/:logbookId/check',
  '/logbook/:logbookId/second-look',
  '/logbook/:logbookId/history',
  '/logbook/:logbookId/report',
  '/compare/try',
  '/stock',
  '/stock/labels',
  '/stock/compare',
  '/stock/materials',
  '/stock/:tag',
  '/class/:classId/investigations',
  '/class/:classId/investigations/edit',
  '/class/:classId',
  '/class/:classId/tasks',
  '/class/:classId/staff',
  '/class/:classId/students/:studentId',
  '/class/:classId/marks',
  '/class/:classId/benches',
  '/class/:classId/compare',
  '/class/:classId/compare/together',
  '/class/:classId/compare/readings',
  '/class/:classId/compare/:investigationId',
  '/class/:classId/question',
  '/class/:classId/rules',
  '/class/:classId/rules/print',
  '/rules',
  '/class/:classId/roster',
] as const;

export type Screen = (typeof screens)[number];

const patterns = screens.map((screen) => new RegExp(`^${screen.replace(/:\w+/g, '[^/.][^/]*')}/?$`));

/** True for an address that shows a screen. */
export const isScreen = (path: string): boolean => patterns.some((pattern) => pattern.test(path));
