/** Under which what was said of a logbook is kept. */
export const reviewsKey = (logbookId: string) => ['reviews', logbookId] as const;
