import { answered, api } from './client';

const LONGEST = 1200;

/** Makes a photograph small and sends it. */
export async function sendPicture(path: `/api/losses/${number}/photograph`, file: File): Promise<void> {
  const number = Number(path.split('/')[3]);
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(picture.width * scale);
  canvas.height = Math.round(picture.height * scale);
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  const small = await new Promise<Blob>((done, failed) =>
    canvas.toBlob((made) => (made ? done(made) : failed(new Error('no picture'))), 'image/jpeg', 0.75),
  );
  await answered(
    api.PUT('/api/losses/{number}/photograph', {
      params: { path: { number } },
      body: small as unknown as string,
      bodySerializer: (body) => body as unknown as BodyInit,
      headers: { 'Content-Type': 'image/jpeg' },
    }),
  );
}
