/** What the event stream says: something changed, fetch it again. */
export type LiveEvent =
  | { readonly changed: 'board' | 'show'; readonly classId: string }
  | { readonly changed: 'logbook'; readonly logbookId: string; readonly classId: string };
