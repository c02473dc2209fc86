import type { NamedRow } from '@green-beam/core';

/** A row as one line: `Burette U-01 = 20.00 ± 0.05 mL, the mark`; its name alone where nothing is accepted for it. */
export function rowLine({ name, accepted }: NamedRow): string {
  if (!accepted) return name;
  const { value, tolerance, unit, source } = accepted;
  return `${name} = ${value}${tolerance ? ` ± ${tolerance}` : ''}${unit && ` ${unit}`}${source && `, ${source}`}`;
}

/** Rows out of their lines. One that keeps its place keeps its key. */
export const rowsFrom = (
  lines: readonly string[],
  before: readonly NamedRow[],
): readonly NamedRow[] | undefined =>
  lines.length === 0
    ? undefined
    : lines.map((line, at) => {
        const [, name = line, value, tolerance, unit = '', source = ''] =
          /^(.*?)\s*=\s*([^\s±]+)\s*(?:±\s*(\S+)\s*)?([^,]*?)\s*(?:,\s*(.*))?$/.exec(line) ?? [];
        const key = before[at]?.key ?? `row${at + 1}`;
        return value === undefined
          ? { key, name: line.trim() }
          : { key, name, accepted: { value, ...(tolerance ? { tolerance } : {}), unit, source } };
      });
