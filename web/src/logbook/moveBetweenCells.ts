import type { KeyboardEvent } from 'react';

const ways: Readonly<Record<string, readonly [down: number, across: number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

/** Arrow keys go to the next cell; sideways only from the end of what is typed. */
export function moveBetweenCells(event: KeyboardEvent<HTMLTableElement>): void {
  const way = ways[event.key];
  const target = event.target as HTMLElement;
  const cell = target.closest<HTMLElement>('[data-row]');
  if (!way || !cell || event.ctrlKey || event.metaKey || event.altKey) return;
  const [down, across] = way;
  if (across !== 0 && target instanceof HTMLInputElement) {
    const { selectionStart, selectionEnd, value } = target;
    if (selectionStart !== selectionEnd || selectionStart !== (across < 0 ? 0 : value.length)) return;
  }
  const [row, column] = [Number(cell.dataset['row']), Number(cell.dataset['col'])];
  for (let step = 1; step < 20; step += 1) {
    const next = event.currentTarget.querySelector<HTMLElement>(
      `[data-row="${row + down * step}"][data-col="${column + across * step}"]`,
    );
    if (!next) return;
    const field = next.querySelector<HTMLElement>('input, button');
    if (field) {
      event.preventDefault();
      field.focus();
      return;
    }
  }
}
