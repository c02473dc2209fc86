/** The smallest PNG: one dot. */
export const onePixel = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

const segment = (marker: number, body: Buffer): Buffer => {
  const head = Buffer.from([0xff, marker, 0, 0]);
  head.writeUInt16BE(body.length + 2, 2);
  return Buffer.concat([head, body]);
};

/** A JPEG as far as its parts go, with what a camera writes: a place, a comment, and something behind its end. */
export const photographed = (beside: string): Buffer =>
  Buffer.concat([
    Buffer.from([0xff, 0xd8]),
    segment(0xe0, Buffer.from('JFIF\0')),
    segment(0xe1, Buffer.from(`Exif\0\0${beside}`)),
    segment(0xfe, Buffer.from(beside)),
    segment(0xdb, Buffer.from('tables')),
    segment(0xda, Buffer.from('scan')),
    Buffer.from([1, 2, 0xff, 0, 3, 0xff, 0xd9]),
    Buffer.from(beside),
  ]);
