import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { RoomRisk, SpaceView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Nothing, Refusal } from '../look/States';
import { shortDay } from '../words/days';
import { chanceWords } from '../words/phrases';
import { spaceHelpWords } from '../words/reasons';
import { say } from '../words/say';
import type { Overflow } from './RoomLane';
import { riskWords } from './riskWords';

/** What could be done about days that lack room, the least costly first. */
export function RoomHelp({
  overflow,
  space,
  risk,
  mayChange,
}: {
  overflow: Overflow;
  space: SpaceView;
  risk: RoomRisk | undefined;
  mayChange: boolean;
}) {
  const placeName = (place: number) => space.places.find((each) => each.id === place)?.name ?? '';
  const query = { place: overflow.placeId, from: overflow.from, to: overflow.to };
  const suggestions = useQuery({
    queryKey: ['suggestions', query],
    queryFn: () => answered(api.GET('/api/space/suggestions', { params: { query } })),
  });
  const change = useChange((edit: NonNullable<NonNullable<typeof suggestions.data>[number]['edit']>) =>
    answered(api.POST('/api/board/changes', { body: { edit } })),
  );
  return (
    <section aria-label={say('What could be done')} className="border-t border-rule bg-wash p-4">
      <BatchesThere overflow={overflow} />
      {risk && <p className="mb-2 text-sm">{say('Over all past years: {risk}', { risk: riskWords(risk) })}</p>}
      {suggestions.isPending && <p role="status">{say('Looking for room…')}</p>}
      {suggestions.data?.length === 0 && <Nothing>{say('No single change would help here. Place all anew, or talk to a grower.')}</Nothing>}
      <ul>
        {suggestions.data?.map((each) => (
          <li key={JSON.stringify(each.help)} className="flex flex-wrap items-center gap-x-4 border-t border-rule py-1.5 text-sm">
            <span className="grow font-semibold">{spaceHelpWords(each.help, space.firstDay, placeName)}</span>
            <span className="text-pencil">
              {say('frees {places, plural, one {# place} other {# places}}; in time {chance}{more}', {
                places: Math.round(each.relief),
                chance: chanceWords(each.chance),
                more:
                  Math.round(each.chance * 20) !== Math.round(each.chanceBefore * 20)
                    ? say(', was {chanceBefore}', { chanceBefore: chanceWords(each.chanceBefore) })
                    : '',
              })}
            </span>
            {each.edit && mayChange && (
              <button className="act" disabled={change.isPending} onClick={() => change.mutate(each.edit!)}>
                {say('Do it')}
              </button>
            )}
          </li>
        ))}
      </ul>
      <Refusal message={change.error?.message} />
    </section>
  );
}

/** Which batches stand where room lacks. */
function BatchesThere({ overflow }: { overflow: Overflow }) {
  return (
    <>
      <h2>
        {say('{place} lacks {places, plural, one {# tray place} other {# tray places}}, {from} – {to}', {
          place: overflow.place,
          places: Math.ceil(overflow.over),
          from: shortDay(overflow.from),
          to: shortDay(overflow.to),
        })}
      </h2>
      <p className="mb-2 text-sm text-pencil">
        {say('Batches there:')}{' '}
        {overflow.batches.map((batch, index) => (
          <span key={batch}>
            {index > 0 && ', '}
            <Link className="trail inline-flex min-h-11 min-w-11 items-center sm:min-h-0 sm:min-w-0" to={`/batches/${batch}`}>
              {batch}
            </Link>
          </span>
        ))}
      </p>
    </>
  );
}

/** The same in the weather of one past year, in which nothing is changed. */
export function LacksInYear({ overflow, year }: { overflow: Overflow; year: string }) {
  return (
    <section aria-label={say('Who stands there')} className="border-t border-rule bg-wash p-4">
      <BatchesThere overflow={overflow} />
      <p className="text-sm">
        {say('So it would be in the weather of {year}. What could be done about it is looked for in the weather as most likely.', { year })}
      </p>
    </section>
  );
}
