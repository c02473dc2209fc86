import { csvFormatRows } from 'd3-dsv';

/** What a spreadsheet takes for a formula when it opens a file: a first sign, spaces before it or not. */
const runs = /^'*(?:\s*[=+\-@]|[\t\r])/;
const held = /^'+(?:\s*[=+\-@]|[\t\r])/;
/** A number may begin with its sign. */
const isNumber = /^[+-]?\d[\d.,]*(?:[eE][+-]?\d+)?$/;

/** A text as it may stand in a file that a spreadsheet opens: what it would run is held by an apostrophe. */
export const forSpreadsheet = (text: string): string =>
  runs.test(text) && !isNumber.test(text) ? `'${text}` : text;

/** Rows of texts as a CSV file that a spreadsheet may open. */
export const rowsCsv = (rows: readonly (readonly string[])[]): string =>
  csvFormatRows(rows.map((row) => row.map(forSpreadsheet)));

/** The text that was written so; anything else as it is. */
export const fromSpreadsheet = (text: string): string => (held.test(text) ? text.slice(1) : text);
