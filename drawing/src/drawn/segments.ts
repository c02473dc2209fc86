/** Which of the seven bars of a digit are lit: top, upper right, lower right, bottom, lower left, upper left, middle. */
const lit: Readonly<Record<string, string>> = {
  '0': '1111110',
  '1': '0110000',
  '2': '1101101',
  '3': '1111001',
  '4': '0110011',
  '5': '1011011',
  '6': '1011111',
  '7': '1110000',
  '8': '1111111',
  '9': '1111011',
  '−': '0000001',
  '–': '0000001',
};

/** Height of a digit, as a share of the size of its type, and its width, gap and bar as shares of that height. */
const [tall, wide, apart, bar] = [0.72, 0.5, 0.2, 0.12] as const;

/**
 * The digits of a display as bars: what is seen, and no text.
 * @param endX where the last one ends. @param baseline where they stand. @param size of the type that they stand in for
 * @returns path data
 */
export function digitBars(text: string, endX: number, baseline: number, size: number): string {
  const height = size * tall;
  const [width, gap, thick] = [height * wide, height * apart, height * bar];
  let x = endX;
  let path = '';
  for (const sign of [...text].reverse()) {
    if (sign === ' ') {
      x -= gap;
      continue;
    }
    if (sign === '.') {
      x -= gap * 0.5 + thick * 0.5;
      path += box(x - thick * 0.5, baseline - thick, thick, thick);
      x -= gap * 0.5;
      continue;
    }
    x -= width;
    const bars = lit[sign] ?? '0000000';
    const half = height / 2;
    const top = baseline - height;
    const places: readonly (readonly [number, number, number, number])[] = [
      [x + thick * 0.6, top, width - thick * 1.2, thick],
      [x + width - thick, top + thick * 0.6, thick, half - thick * 0.9],
      [x + width - thick, top + half + thick * 0.3, thick, half - thick * 0.9],
      [x + thick * 0.6, baseline - thick, width - thick * 1.2, thick],
      [x, top + half + thick * 0.3, thick, half - thick * 0.9],
      [x, top + thick * 0.6, thick, half - thick * 0.9],
      [x + thick * 0.6, top + half - thick / 2, width - thick * 1.2, thick],
    ];
    places.forEach((place, at) => {
      if (bars[at] === '1') path += box(...place);
    });
    x -= gap;
  }
  return path;
}

const box = (x: number, y: number, width: number, height: number): string =>
  `M${x} ${y}h${width}v${height}h${-width}z`;
