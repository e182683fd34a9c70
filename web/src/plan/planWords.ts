import type { Obstacle, OfferView, PlanView, Proviso } from '../api/client';
import { type About, partsOf, reason } from '../words/reasons';

/** What is asked of a plan to word it. */
type Worded = Pick<PlanView, 'crop' | 'containers'> & { dates: Pick<PlanView['dates'], 'target'>; places: Pick<PlanView['places'], 'all'> };

/** What the messages about a plan may name. */
function about(plan: Worded, today: string): About {
  return { today, crop: plan.crop, container: plan.containers.at(-1)?.name ?? '', target: plan.dates.target };
}

/** What stands in the way, and what could be done about it. */
export function obstacleWords(obstacle: Obstacle, plan: Worded, today: string): string {
  const name = (code: string) => plan.containers.find((each) => each.code === code)?.name ?? code;
  const more = obstacle.kind === 'PotTooLarge' ? { containerName: name(obstacle.container), beforeName: name(obstacle.before) } : {};
  return reason(`obstacle.${obstacle.kind}`, partsOf(obstacle, { ...about(plan, today), ...more }));
}

/** A condition of a yes, or a reason of a no. */
export function provisoWords(proviso: Proviso, plan: Worded, today: string): string {
  if (proviso.kind === 'InTheWay') return obstacleWords(proviso.obstacle, plan, today);
  const more =
    proviso.kind === 'NoRoom' || proviso.kind === 'NotThere'
      ? { placeName: plan.places.all.find((each) => each.id === proviso.place.number)?.name ?? '' }
      : {};
  return reason(`proviso.${proviso.kind}`, partsOf(proviso, { ...about(plan, today), ...more }));
}

/** What an offer changes: "on Sat 12 Jun instead". */
export function offerWords(offer: OfferView): string {
  const { containerName, ...rest } = offer;
  return reason(`offer.${offer.change}`, { ...partsOf(rest, { today: offer.target }), containerName: containerName.toLowerCase() });
}
