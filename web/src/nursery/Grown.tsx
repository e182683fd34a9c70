import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { useState } from 'react';
import { answered, api, type LibraryView } from '../api/client';
import { useChange } from '../api/queries';
import { Loading, Refusal, Trouble } from '../look/States';
import { say } from '../words/say';

type Kind = LibraryView['sets'][number]['kind'];

const KINDS: Record<Kind, string> = {
  NEIGHBOURS_IN_SPRING: say('Plants for neighbours in spring'),
  MARKET_GARDEN: say('A market garden, all season'),
  LATE_SUMMER_AND_AUTUMN: say('Sown in summer for autumn and winter'),
  CUT_FLOWERS: say('Cut flowers'),
  HERBS: say('Herbs in pots'),
  SCHOOL: say('A school'),
  KITCHEN_TABLE: say('The kitchen table'),
};

interface Picked {
  crops: ReadonlySet<string>;
  containers: ReadonlySet<string>;
}

/** What one grows and in what: sets to begin from, then each crop and container by one press. */
export function Grown() {
  const library = useQuery({ queryKey: ['grown'], queryFn: () => answered(api.GET('/api/grown')) });
  if (library.isPending) return <Loading what={say('the library')} />;
  if (library.isError) return <Trouble error={library.error} retry={() => library.refetch()} />;
  return <Pick library={library.data} />;
}

function Pick({ library }: { library: LibraryView }) {
  const [sets, setSets] = useState<Kind[]>([]);
  const [picked, setPicked] = useState<Picked>(() => ({ crops: inUse(library.crops), containers: inUse(library.containers) }));
  const keep = useChange((grown: Picked) =>
    answered(api.PUT('/api/grown', { body: { crops: [...grown.crops], containers: [...grown.containers] } })),
  );
  const press = (kind: Kind) => {
    const now = sets.includes(kind) ? sets.filter((each) => each !== kind) : [...sets, kind];
    const chosen = library.sets.filter((set) => now.includes(set.kind));
    setSets(now);
    setPicked(
      chosen.length === 0
        ? { crops: inUse(library.crops), containers: inUse(library.containers) }
        : { crops: new Set(chosen.flatMap((set) => set.crops)), containers: new Set(chosen.flatMap((set) => set.containers)) },
    );
  };
  const same = equal(picked.crops, inUse(library.crops)) && equal(picked.containers, inUse(library.containers));
  return (
    <>
      <h2 className="mb-1">{say('Begin from')}</h2>
      <div className="mb-4 flex flex-wrap gap-2">
        {library.sets.map((set) => (
          <Press key={set.kind} name={KINDS[set.kind]} on={sets.includes(set.kind)} press={() => press(set.kind)} />
        ))}
      </div>
      <h2 className="mb-1">
        {say('{crops, plural, one {# crop} other {# crops}} of {all}', { crops: picked.crops.size, all: library.crops.length })}
      </h2>
      <div className="mb-4 flex flex-wrap gap-2">
        {[...library.crops].sort(byName).map((crop) => (
          <Press
            key={crop.code}
            name={crop.name}
            on={picked.crops.has(crop.code)}
            press={() => setPicked({ ...picked, crops: toggled(picked.crops, crop.code) })}
          />
        ))}
      </div>
      <h2 className="mb-1">
        {say('{containers, plural, one {# container} other {# containers}} of {all}', {
          containers: picked.containers.size,
          all: library.containers.length,
        })}
      </h2>
      <div className="mb-4 flex flex-wrap gap-2">
        {library.containers.map((container) => (
          <Press
            key={container.code}
            name={container.name}
            on={picked.containers.has(container.code)}
            press={() => setPicked({ ...picked, containers: toggled(picked.containers, container.code) })}
          />
        ))}
      </div>
      <Refusal message={keep.error?.problems[0]?.message ?? keep.error?.message} />
      <button className="act act-main" disabled={same || keep.isPending} onClick={() => keep.mutate(picked)}>
        {say('Offer these')}
      </button>
      <Link className="trail ml-3 inline-flex min-h-11 items-center" to="/nursery/crops">
        {say('The figures of each crop')}
      </Link>
      {same && keep.isSuccess && (
        <span role="status" className="ml-3">
          {say('Only these are offered from now on; the others stay in the library.')}
        </span>
      )}
    </>
  );
}

/** Something that is picked or not: a filled square with a tick before its name, or an empty one. */
function Press({ name, on, press }: { name: string; on: boolean; press: () => void }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={press}
      className={`inline-flex min-h-11 items-center gap-2 border px-3 ${on ? 'border-dusk bg-wash font-semibold' : 'border-rule text-pencil'}`}
    >
      <svg aria-hidden viewBox="0 0 16 16" className="size-4" fill="none" stroke="currentColor" strokeWidth="1.5">
        <rect x="1.500" y="1.500" width="13" height="13" />
        {on && <path d="M4 8.500 L7 11.500 L12.500 4.500" strokeWidth="2" />}
      </svg>
      {name}
    </button>
  );
}

const byName = (one: { name: string }, other: { name: string }): number => one.name.localeCompare(other.name);

const inUse = (things: { code: string; inUse: boolean }[]): ReadonlySet<string> =>
  new Set(things.filter((thing) => thing.inUse).map((thing) => thing.code));

const equal = (one: ReadonlySet<string>, other: ReadonlySet<string>): boolean => one.size === other.size && [...one].every((each) => other.has(each));

function toggled(codes: ReadonlySet<string>, code: string): ReadonlySet<string> {
  const now = new Set(codes);
  if (!now.delete(code)) now.add(code);
  return now;
}
