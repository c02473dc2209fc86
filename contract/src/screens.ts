/** Every address of the pages; `:names` stand for anything. Addresses beside these lead nowhere. */
export const screens = [
  '/',
  '/account',
  '/bench',
  '/bench/which',
  '/bench/balance',
  '/bench/:settingId',
  '/figures',
  '/figures/drills',
  '/figures/drills/:itemId',
  '/figures/rearrange',
  '/figures/spot',
  '/figures/identify',
  '/compare/try',
  '/stock',
  '/stock/labels',
  '/stock/compare',
  '/stock/materials',
  '/stock/:tag',
  '/figures/cards',
  '/logbook',
  '/logbook/:logbookId',
  '/logbook/:logbookId/uncertainty',
  '/logbook/:logbookId/compare',
  '/logbook/:logbookId/second-look',
  '/logbook/:logbookId/history',
  '/logbook/:logbookId/report',
  '/class/:classId',
  '/class/:classId/investigations',
  '/class/:classId/investigations/edit',
  '/class/:classId/compare',
  '/class/:classId/compare/readings',
  '/class/:classId/compare/:investigationId',
  '/class/:classId/question',
  '/class/:classId/roster',
  '/class/:classId/benches',
] as const;

const patterns = screens.map((screen) => new RegExp(`^${screen.replace(/:\w+/g, '[^/.][^/]*')}/?$`));

/** True for an address that shows a screen. */
export const isScreen = (path: string): boolean => patterns.some((pattern) => pattern.test(path));
