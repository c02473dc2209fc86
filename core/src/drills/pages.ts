/** What is practised on pages of their own, beside the drills. */
export const practisedOnPages = [
  { kind: 'rearranging', name: 'Rearrange', about: 'a formula solved for the letter that is wanted' },
  { kind: 'spot-the-fault', name: 'Spot the fault', about: 'what is wrong in a table of results' },
] as const;
