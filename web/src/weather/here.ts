import { say } from '../words/say';

/** Where this device is, as far as it tells. */
export interface Here {
  latitude: number;
  /** m above the sea; devices without satellites do not know it. */
  altitude?: number;
}

const MILLISECONDS_PATIENCE = 10_000;

/** Asks the device where it is; it asks its owner first. Refuses in words. */
export function whereIAm(): Promise<Here> {
  return new Promise((tell, refuse) => {
    if (!('geolocation' in navigator)) {
      refuse(new Error(say('This device cannot tell where it is. Type it instead.')));
      return;
    }
    navigator.geolocation.getCurrentPosition(
      ({ coords }) =>
        tell({ latitude: Math.round(coords.latitude * 10) / 10, ...(coords.altitude === null ? {} : { altitude: Math.round(coords.altitude) }) }),
      () => refuse(new Error(say('This device did not tell where it is. Allow it, or type it instead.'))),
      { timeout: MILLISECONDS_PATIENCE },
    );
  });
}

/** In which time zone this device is. */
export const deviceTimeZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;
