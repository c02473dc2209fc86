import { at, paths } from '@green-beam/contract';
import { call } from '../api';

const longestEdge = 1280;

/** Makes a picture no larger than is needed, stores it, and gives its id; null for what is no picture. @throws as `call` */
export async function sendPhoto(logbookId: string, file: File): Promise<string | null> {
  const id = crypto.randomUUID();
  const base64 = await smaller(file);
  if (base64 === null) return null;
  await call('POST', at(paths.photos, { logbookId }), { id, mediaType: 'image/jpeg', base64 });
  return id;
}

async function smaller(file: File): Promise<string | null> {
  const picture = await createImageBitmap(file).catch(() => null);
  if (!picture) return null;
  const share = Math.min(1, longestEdge / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [Math.round(picture.width * share), Math.round(picture.height * share)];
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return canvas.toDataURL('image/jpeg', 0.82).split(',')[1] ?? '';
}
