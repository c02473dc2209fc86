const two = (part: number): string => String(part).padStart(2, '0');

/** A day where one is, as it is kept: `2026-11-03`. */
export function isoDay(time: Date | string): string {
  const day = new Date(time);
  return `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
}
