/** A photograph made small enough to be sent, and where it can be shown from. */
export interface Shot {
  file: File;
  address: string;
  width: number;
  height: number;
}

/** Pixels of the longer side: some forty to a cell of a usual tray. */
const LONGEST = 1600;

/** The photograph turned upright and made small; it never leaves the device larger than that. */
export async function shrunk(file: File): Promise<Shot> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(picture.width * scale);
  canvas.height = Math.round(picture.height * scale);
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  const blob = await new Promise<Blob>((done, failed) =>
    canvas.toBlob((made) => (made ? done(made) : failed(new Error('no picture'))), 'image/jpeg', 0.85),
  );
  return {
    file: new File([blob], 'tray.jpg', { type: 'image/jpeg' }),
    address: URL.createObjectURL(blob),
    width: canvas.width,
    height: canvas.height,
  };
}
