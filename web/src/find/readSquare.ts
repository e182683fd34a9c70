import { BinaryBitmap, HybridBinarizer, InvertedLuminanceSource, QRCodeReader, RGBLuminanceSource } from '@zxing/library';

/** Wider pictures take longer and read no better. */
const WIDTH = 640;

/** What the square before the camera says; nothing while none is seen, or not sharply. */
export async function readSquare(seen: HTMLVideoElement): Promise<string | undefined> {
  if ('BarcodeDetector' in window) {
    const found = await new BarcodeDetector({ formats: ['qr_code'] }).detect(seen).catch(() => []);
    return found[0]?.rawValue;
  }
  const width = Math.min(WIDTH, seen.videoWidth);
  const height = Math.round((seen.videoHeight * width) / seen.videoWidth);
  const canvas = new OffscreenCanvas(width, height);
  const drawn = canvas.getContext('2d', { willReadFrequently: true })!;
  drawn.drawImage(seen, 0, 0, width, height);
  return squareIn(drawn.getImageData(0, 0, width, height));
}

/** What a square in a picture says. */
export function squareIn(picture: ImageData): string | undefined {
  const grey = new Uint8ClampedArray(picture.width * picture.height);
  for (let place = 0; place < grey.length; place++) {
    const [red, green, blue] = picture.data.subarray(4 * place, 4 * place + 3);
    grey[place] = (red! + 2 * green! + blue!) / 4;
  }
  const light = new RGBLuminanceSource(grey, picture.width, picture.height);
  for (const source of [light, new InvertedLuminanceSource(light)]) {
    try {
      return new QRCodeReader().decode(new BinaryBitmap(new HybridBinarizer(source))).getText();
    } catch {
      // None is seen; the next look may find one.
    }
  }
  return undefined;
}
