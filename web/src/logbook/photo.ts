const longestEdge = 1600;

/** Makes a picture no larger than is needed, whatever the camera gave; null for what is no picture. */
export async function smallerPhoto(file: File): Promise<Blob | null> {
  const picture = await createImageBitmap(file).catch(() => null);
  if (!picture) return null;
  const share = Math.min(1, longestEdge / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [Math.round(picture.width * share), Math.round(picture.height * share)];
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return new Promise((done) => canvas.toBlob(done, 'image/jpeg', 0.82));
}
