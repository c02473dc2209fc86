import type { Investigation } from '@green-beam/core';

/** A part of the editor: it shows the investigation and says what is to change. */
export interface Part {
  readonly body: Investigation;
  readonly change: (part: Partial<Investigation>) => void;
}
