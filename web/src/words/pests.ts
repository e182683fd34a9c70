import type { PestAtSite } from '../api/client';
import { say } from './say';

const PESTS: Record<PestAtSite['pest'], string> = {
  CABBAGE_ROOT_FLY: say('Cabbage root fly'),
  FLEA_BEETLE: say('Flea beetle'),
  CARROT_FLY: say('Carrot fly'),
  CELERY_FLY: say('Celery fly'),
  LEEK_MOTH: say('Leek moth'),
  SQUASH_BORER: say('Squash borer'),
  BEAN_FLY: say('Bean seed fly'),
};

export const pestWords = (pest: PestAtSite['pest']): string => PESTS[pest];
