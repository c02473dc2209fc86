/** What a connected balance shows; `none` where none is connected, `silent` where it does not speak. */
export type FeedAnswer =
  | { readonly state: 'none' | 'silent' | 'over' }
  | { readonly state: 'steady' | 'moving'; readonly text: string; readonly unit: string };

export interface TakenReading {
  readonly id: string;
  readonly text: string;
  readonly unit: string;
}
