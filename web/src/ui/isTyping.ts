/** True while somebody types: single letters are then text. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || target.matches('input:not([type=radio], [type=checkbox]), textarea, select'));
