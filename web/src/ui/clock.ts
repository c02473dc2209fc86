// Made once: making one takes longer than drawing what it says, and a long table says hundreds.
const shown = (options: Intl.DateTimeFormatOptions) => {
  const format = new Intl.DateTimeFormat([], options);
  return (time: Date | string): string => format.format(new Date(time));
};
const hourAndMinute = { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' } as const;

/** A time of day to the minute, and to the second. */
export const clock = shown(hourAndMinute);
export const clockWithSeconds = shown({ ...hourAndMinute, second: '2-digit' });
/** The day of the week in short. */
export const weekday = shown({ weekday: 'short' });
/** Day, its month in letters, and time to the second. */
export const dayAndTime = shown({
  ...hourAndMinute,
  second: '2-digit',
  day: 'numeric',
  month: 'short',
  year: 'numeric',
});
/** The day of the week with day and month. */
export const dayOfWeek = shown({ weekday: 'short', day: 'numeric', month: 'short' });
/** Day and month, with the year: a group of a comparison. */
export const wholeDay = shown({ day: 'numeric', month: 'long', year: 'numeric' });
