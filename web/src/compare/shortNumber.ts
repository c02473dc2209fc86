/** A value as it is shown among others: to six figures. */
export const shortNumber = (text: string): string =>
  String(Number(Number(text).toPrecision(6))).replace('-', '−');
