import { say } from '../words/say';
import { Choice } from './Choice';
import { FindIn } from './FindIn';
import { YearChoice } from './YearChoice';

/** What is chosen of a list, as it stands in its address. */
export interface ListChosen {
  find: string;
  sort: string;
  group: string;
  done: string;
  year: string;
}

/** Above a list: what is looked for in it, how it is sorted and grouped, whether what is over is in it, and of which year. */
export function ListTools({
  chosen,
  choose,
  find,
  hint,
  sorts,
  groups,
}: {
  chosen: ListChosen;
  choose: (changed: Partial<ListChosen>) => void;
  find: string;
  hint: string;
  sorts: [value: string, words: string][];
  groups: [value: string, words: string][];
}) {
  return (
    <div className="no-print mb-3 grid grid-cols-2 items-end gap-x-4 gap-y-2 sm:flex sm:flex-wrap">
      <FindIn name={find} hint={hint} value={chosen.find} choose={(words) => choose({ find: words })} />
      <Choice name={say('Sort')} value={chosen.sort} choose={(sort) => choose({ sort })} choices={sorts} />
      <Choice name={say('Together')} value={chosen.group} choose={(group) => choose({ group })} choices={groups} />
      {chosen.year === '' && (
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={chosen.done !== ''}
            onChange={(event) => choose({ done: event.target.checked ? 'yes' : '' })}
          />
          {say('with those released')}
        </label>
      )}
      <YearChoice
        year={chosen.year === '' ? undefined : Number(chosen.year)}
        choose={(other) => choose({ year: other === undefined ? '' : String(other) })}
      />
    </div>
  );
}
