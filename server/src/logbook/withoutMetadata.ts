/**
 * A photograph without what a camera writes beside it: where and when it was taken, with what, and small copies of it. The picture
 * itself is not touched. Null for what is none.
 * Sources: JPEG, ITU-T T.81 (1992), annex B; PNG, W3C Recommendation (third edition), chapter 5.
 */
export const withoutMetadata = (bytes: Buffer, mediaType: string): Buffer | null =>
  mediaType === 'image/png' ? plainPng(bytes) : plainJpeg(bytes);

const pngSignature = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
/** What the picture is, and how its colours are meant. */
const pngKept: ReadonlySet<string> = new Set(
  'IHDR PLTE IDAT IEND tRNS cHRM gAMA iCCP sBIT sRGB bKGD pHYs acTL fcTL fdAT'.split(' '),
);

function plainPng(bytes: Buffer): Buffer | null {
  if (!bytes.subarray(0, 8).equals(pngSignature)) return null;
  const kept: Buffer[] = [pngSignature];
  for (let at = 8; at + 12 <= bytes.length;) {
    const end = at + 12 + bytes.readUInt32BE(at);
    const type = bytes.toString('latin1', at + 4, at + 8);
    if (end > bytes.length) return null;
    if (pngKept.has(type)) kept.push(bytes.subarray(at, end));
    if (type === 'IEND') return Buffer.concat(kept);
    at = end;
  }
  return null;
}

const [startOfScan, endOfImage, comment] = [0xda, 0xd9, 0xfe];
/** APP0 says that it is a JFIF file, APP14 how its colours are coded; what stands in the others is about the camera. */
const isAside = (marker: number): boolean =>
  marker === comment || (marker >= 0xe1 && marker <= 0xef && marker !== 0xee);

function plainJpeg(bytes: Buffer): Buffer | null {
  if (bytes[0] !== 0xff || bytes[1] !== 0xd8) return null;
  const kept = [bytes.subarray(0, 2)];
  for (let at = 2; at + 2 <= bytes.length;) {
    const marker = bytes[at + 1] ?? 0;
    if (bytes[at] !== 0xff) return null;
    // What a camera hangs on behind the end goes.
    if (marker === endOfImage) return Buffer.concat([...kept, bytes.subarray(at, at + 2)]);
    if (marker === 0xff || at + 4 > bytes.length) {
      at += 1;
      continue;
    }
    const end = at + 2 + bytes.readUInt16BE(at + 2);
    const next = marker === startOfScan ? afterScan(bytes, end) : end;
    if (next > bytes.length) return null;
    if (!isAside(marker)) kept.push(bytes.subarray(at, next));
    at = next;
  }
  return null;
}

/** Where the next marker stands: inside of a scan a zero follows each 0xff, or the number of a restart. */
function afterScan(bytes: Buffer, from: number): number {
  for (let at = bytes.indexOf(0xff, from); at >= 0; at = bytes.indexOf(0xff, at + 1)) {
    const next = bytes[at + 1] ?? 0;
    if (next !== 0 && next !== 0xff && !(next >= 0xd0 && next <= 0xd7)) return at;
  }
  return bytes.length + 1;
}
