export * from './spreadsheet';
