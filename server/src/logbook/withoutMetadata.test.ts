import { expect, it } from 'vitest';
import { onePixel, photographed } from '../../test/picture';
import { withoutMetadata } from './withoutMetadata';

it('leaves of a JPEG the picture alone', () => {
  const plain = withoutMetadata(photographed('59.91 N 10.75 E'), 'image/jpeg')!;
  expect(plain.toString('latin1')).not.toMatch(/Exif|59\.91/);
  for (const part of ['JFIF', 'tables', 'scan']) expect(plain.includes(part)).toBe(true);
  expect([...plain.subarray(-2)]).toEqual([0xff, 0xd9]);
  expect(withoutMetadata(plain, 'image/jpeg')).toEqual(plain);
});

it('leaves of a PNG the picture alone', () => {
  const text = Buffer.from('tEXtplace\x00here');
  const chunk = Buffer.concat([Buffer.from([0, 0, 0, text.length - 4]), text, Buffer.alloc(4)]);
  const told = Buffer.concat([onePixel.subarray(0, 33), chunk, onePixel.subarray(33), Buffer.from('behind')]);
  expect(withoutMetadata(told, 'image/png')).toEqual(onePixel);
});

it.each([
  ['nothing', Buffer.alloc(0)],
  ['the first bytes of a PNG', onePixel.subarray(0, 8)],
  ['a PNG that is cut off', onePixel.subarray(0, 50)],
  ['a JPEG that is cut off', photographed('x').subarray(0, 30)],
  ['a JPEG whose part is longer than it', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0xff, 0xff, 1])],
  ['a text', Buffer.from('no picture at all')],
])('takes %s for no picture', (_, bytes) => {
  expect(withoutMetadata(bytes, 'image/png')).toBeNull();
  expect(withoutMetadata(bytes, 'image/jpeg')).toBeNull();
});
