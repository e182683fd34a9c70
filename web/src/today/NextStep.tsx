import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Founding } from '../api/client';
import { answered, api } from '../api/client';
import { useSession } from '../api/queries';
import { say } from '../words/say';

/** What the nursery has and lacks; asked for on behalf of a propagator only. */
export function useFounding() {
  const propagator = useSession().data?.role === 'PROPAGATOR';
  return useQuery({ queryKey: ['founding'], enabled: propagator, queryFn: () => answered(api.GET('/api/founding')) });
}

/** What is missing for a first round, and where it is put right. */
const NEXT: Record<NonNullable<Founding['next']>, { words: string; act: string; to: string }> = {
  CLIMATE: {
    words: say('The weather is guessed from latitude and height alone. Everything that is foreseen rests on it.'),
    act: say('Say what you know of the climate'),
    to: '/founding/climate',
  },
  PLACE_TO_COME_UP: {
    words: say('There is no place where seed comes up, so nothing can be sown.'),
    act: say('Say where seed comes up'),
    to: '/founding/places',
  },
  PLACE_TO_GROW_ON: {
    words: say('There is no place where seedlings grow on, so no plan can end.'),
    act: say('Say where seedlings grow on'),
    to: '/founding/places',
  },
  PLACE_TO_HARDEN: {
    words: say('There is no place where plants harden off. A frame or the yard will do.'),
    act: say('Say where plants harden off'),
    to: '/founding/places',
  },
  VARIETY: { words: say('There is nothing to sow yet.'), act: say('Take in the first packet'), to: '/founding/packets' },
  SEED: { words: say('There is no seed yet.'), act: say('Take in the first packet'), to: '/founding/packets' },
  SITE: {
    words: say('Nobody is there for whom plants are raised. Your own beds are a site, too.'),
    act: say('Say where plants go'),
    to: '/founding/sites',
  },
  FIRST_PLAN: { words: say('Everything is there for a first plan.'), act: say('Say what is wanted, and when'), to: '/orders/new' },
};

/** What is missing for a first round; nothing once plants are planned. */
export function NextStep() {
  const founding = useFounding();
  if (!founding.data?.next) return null;
  const { words, act, to } = NEXT[founding.data.next];
  return (
    <section aria-label={say('Next')} className="mb-5 flex flex-wrap items-center gap-x-5 gap-y-2 border-l-4 border-dusk bg-board p-4">
      <p className="grow">
        <strong>{say('Next.')}</strong> {words}
      </p>
      <Link className="act act-main" to={to}>
        {act}
      </Link>
    </section>
  );
}
