/** What some browsers have built in to read squares and bars; the types that come with TypeScript lack it. */
declare class BarcodeDetector {
  constructor(options: { formats: string[] });
  detect(seen: HTMLVideoElement): Promise<{ rawValue: string }[]>;
}
