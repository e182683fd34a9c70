import { Select } from '@headlessui/react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { answered, api, type Choices, type OwnSeason, type Refused } from '../api/client';
import { useChoices, useNumberedChange, useSession } from '../api/queries';
import { Field } from '../look/Field';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { dayWords } from '../words/days';
import { spacing } from '../words/quantity';
import { say } from '../words/say';
import { OwnSeasonBoard } from './OwnSeasonBoard';
import { wantIn, type TypedWant } from './ownWant';
import { WantForm } from './WantForm';

/** For whoever grows for their own table: what one would like to eat or cut becomes a season. */
export function OwnTablePage({ today }: { today: string }) {
  const choices = useChoices();
  if (choices.isPending) return <Loading what={say('varieties and beds')} />;
  if (choices.isError) return <Trouble error={choices.error} retry={() => choices.refetch()} />;
  return <Table choices={choices.data} today={today} />;
}

function Table({ choices, today }: { choices: Choices; today: string }) {
  const navigate = useNavigate();
  const [wants, setWants] = useKeptWants();
  const nursery = useSession().data?.nursery;
  const [siteId, setSiteId] = useState(() => ownSite(choices, nursery));
  const site = choices.sites.find((each) => String(each.id) === siteId);
  const asked = wants.map(wantIn).filter((want) => want !== undefined);
  const season = useQuery<OwnSeason, Refused>({
    queryKey: ['own-table', siteId, asked],
    enabled: asked.length > 0 && site !== undefined,
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: () => answered(api.POST('/api/own-table/plan', { body: { siteId: Number(siteId), wants: asked } })),
  });
  const take = useNumberedChange((entry: { growerId: number; siteId: number; lines: ReturnType<typeof linesOf> }, requestId) =>
    answered(api.POST('/api/orders', { body: { requestId, ...entry } })),
  );
  if (choices.sites.length === 0)
    return (
      <Nothing>
        {say('There is no bed yet to plant into.')}{' '}
        <Link className="trail" to="/founding/sites">
          {say('Add our own beds')}
        </Link>
      </Nothing>
    );
  const shown = wants.length > 0 ? season.data : undefined;
  const lines = shown ? linesOf(shown) : [];
  return (
    <>
      <h1 className="mb-1">{say('For our own table')}</h1>
      <p className="mb-4 max-w-prose text-pencil">
        {say('Say what you would like to eat or cut, and when. Kiver counts back over days to maturity, hardening, growing and coming up.')}
      </p>
      <div className="grid gap-6 lg:grid-cols-[20rem_1fr]">
        <div className="flex flex-col gap-4">
          <Field name={say('Where it is planted')}>
            <Select className="entry" value={siteId} onChange={(event) => setSiteId(event.target.value)}>
              {choices.sites.map((each) => (
                <option key={each.id} value={each.id}>
                  {choices.growers.find((grower) => grower.id === each.growerId)?.name}: {each.name}
                </option>
              ))}
            </Select>
          </Field>
          <WantForm choices={choices} today={today} put={(want) => setWants([...wants, want])} />
        </div>
        <div className="flex min-w-0 flex-col gap-5">
          {wants.length === 0 && <Nothing>{say('Nothing is on the table yet. Begin with what you eat most of.')}</Nothing>}
          {wants.length > 0 && (
            <ul className="board divide-y divide-rule px-3" aria-label={say('On the table')}>
              {wants.map((want, index) => (
                <li key={index} className="flex flex-wrap items-center gap-x-3">
                  <span className="grow py-2">{wantWords(want, choices)}</span>
                  <button type="button" className="trail min-h-11" onClick={() => setWants(wants.filter((each) => each !== want))}>
                    {say('Take it off')}
                    <span className="sr-only">: {varietyName(want, choices)}</span>
                  </button>
                </li>
              ))}
            </ul>
          )}
          {season.isError && <Refusal message={season.error.problems[0]?.message ?? season.error.message} />}
          {wants.length > 0 && season.isFetching && <p role="status">{say('Counting each sowing back…')}</p>}
          {shown && <OwnSeasonBoard season={shown} choices={choices} />}
          <Refusal message={take.error?.message} />
          {site && lines.length > 0 && (
            <button
              type="button"
              className="act act-main self-start"
              disabled={season.isFetching || take.isPending}
              onClick={() =>
                take.mutate(
                  { growerId: site.growerId, siteId: site.id, lines },
                  {
                    onSuccess: (taken) => {
                      setWants([]);
                      void navigate(`/orders/${taken.number}`);
                    },
                  },
                )
              }
            >
              {say('Plan {sowings, plural, one {this sowing} other {these # sowings}}', { sowings: lines.length })}
            </button>
          )}
        </div>
      </div>
    </>
  );
}

/** The nursery's own beds where it has some, or else the first site there is. */
function ownSite({ sites, growers }: Choices, nursery: string | null | undefined): string {
  const own = growers.find((grower) => grower.name === nursery);
  const site = sites.find((each) => each.growerId === own?.id) ?? sites[0];
  return site ? String(site.id) : '';
}

/** What can be sown, taken on the answer that is shown. */
const linesOf = (season: OwnSeason) => season.sowings.filter((each) => each.answer !== 'NO').map((each) => ({ wish: each.wish, seen: each.answer }));

const varietyName = (want: TypedWant, choices: Choices): string =>
  choices.varieties.find((variety) => String(variety.id) === want.varietyId)?.name ?? '';

function wantWords(want: TypedWant, choices: Choices): string {
  const asked = wantIn(want);
  const bed = asked?.bed;
  return say('{variety}: {amount}, picked from {from}{sowings, plural, =1 {} other { to {until}, in # sowings}}', {
    variety: varietyName(want, choices),
    amount: bed
      ? say('a bed of {length} × {breadth}{apart}', {
          length: want.length,
          breadth: want.breadth,
          apart: bed.spacing ? say(', {spacing} apart', { spacing: spacing(bed.spacing) }) : '',
        })
      : say('{plants, plural, one {# plant} other {# plants}}', { plants: asked?.plants ?? 0 }),
    from: dayWords(want.from),
    until: dayWords(want.until),
    sowings: asked?.sowings ?? 1,
  });
}

/** What is on the table stays on this device until it is planned, for the person who put it there. */
function useKeptWants(): [TypedWant[], (wants: TypedWant[]) => void] {
  const person = useSession().data?.person;
  const key = `own table of ${person ?? ''}`;
  const [wants, setWants] = useState<TypedWant[]>(() => read(key));
  useEffect(() => {
    localStorage.setItem(key, JSON.stringify(wants));
  }, [key, wants]);
  return [wants, setWants];
}

function read(key: string): TypedWant[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key) ?? '[]');
    return Array.isArray(kept) ? (kept as TypedWant[]).filter((want) => wantIn(want) !== undefined) : [];
  } catch {
    return [];
  }
}
