import { figures } from '../words/quantity';

/** Tray places as they are counted on a bench: whole ones, and halves or shares of them only where there are any. */
export const roomFigures = (slots: number): string => figures(slots, Math.abs(slots - Math.round(slots)) < 0.05 ? 0 : 1);
