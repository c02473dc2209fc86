/** `You read the top of the curve.` → `they read the top of the curve` */
export const inTheirWords = (title: string): string =>
  title.replace(/^You(r)?/, (_, r: string | undefined) => (r ? 'their' : 'they')).replace(/\.$/, '');
