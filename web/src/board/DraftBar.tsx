import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { BoardView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Refusal } from '../look/States';
import { Sheet } from '../look/Sheet';
import { shortDay } from '../words/days';
import { chanceWords } from '../words/phrases';
import { say } from '../words/say';
import { told } from '../words/told';

/** Whether changes go into the plan itself or are tried together in a draft beside it. */
export function DraftBar({
  season,
  draft,
  setDraft,
}: {
  season: BoardView;
  draft: number | undefined;
  setDraft: (draft: number | undefined) => void;
}) {
  const [comparing, setComparing] = useState(false);
  const begin = useChange((name: string) => answered(api.POST('/api/drafts', { body: { name } })));
  const drop = useChange((id: number) => answered(api.DELETE('/api/drafts/{draft}', { params: { path: { draft: id } } })));
  const take = useChange((id: number) => answered(api.POST('/api/drafts/{draft}/taking', { params: { path: { draft: id } } })));
  const number = season.drafts.reduce((most, each) => Math.max(most, each.id), 0) + 1;
  const present = season.drafts.find((each) => each.id === draft);
  return (
    <div className={`flex flex-wrap items-center gap-2 ${present ? 'w-full border-l-4 border-ochre bg-ochre-wash p-2' : ''}`}>
      <label className="flex items-center gap-2 text-sm">
        <span className="font-semibold">{say('Changes go into')}</span>
        <select
          className="entry w-auto"
          value={draft ?? ''}
          onChange={(event) => setDraft(event.target.value ? Number(event.target.value) : undefined)}
        >
          <option value="">{say('the plan itself')}</option>
          {season.drafts.map((each) => (
            <option key={each.id} value={each.id}>
              {each.name}
            </option>
          ))}
        </select>
      </label>
      {!present && (
        <button
          className="trail min-h-11 px-2"
          disabled={begin.isPending}
          onClick={() => begin.mutate(say('Draft {number}', { number }), { onSuccess: (begun) => setDraft(begun.id) })}
        >
          {say('Begin a draft')}
        </button>
      )}
      {present && (
        <>
          <button className="act" onClick={() => setComparing(true)}>
            {say('Compare with the plan')}
          </button>
          <button
            className="act act-main"
            disabled={take.isPending}
            onClick={() => take.mutate(present.id, { onSuccess: () => setDraft(undefined) })}
          >
            {say('Make it the plan')}
          </button>
          <button
            className="trail min-h-11 px-2"
            disabled={drop.isPending}
            onClick={() => drop.mutate(present.id, { onSuccess: () => setDraft(undefined) })}
          >
            {say('Throw it away')}
          </button>
          <Sheet title={say('{name} beside the plan', { name: present.name })} wide open={comparing} close={() => setComparing(false)}>
            <Comparison draft={present.id} />
          </Sheet>
        </>
      )}
      <Refusal message={(begin.error ?? drop.error ?? take.error)?.message} />
    </div>
  );
}

function Comparison({ draft }: { draft: number }) {
  const compared = useQuery({
    queryKey: ['drafts', draft],
    queryFn: () => answered(api.GET('/api/drafts/{draft}', { params: { path: { draft } } })),
  });
  if (!compared.data) return <p role="status">{say('Comparing…')}</p>;
  const { lines, ...sums } = compared.data;
  return (
    <div className="text-sm">
      <table className="mb-4 w-full text-left">
        <thead className="text-pencil">
          <tr>
            <th className="font-normal" />
            <th className="font-normal">{say('Plan')}</th>
            <th className="font-normal">{say('Draft')}</th>
          </tr>
        </thead>
        <tbody>
          <tr className="border-t border-rule">
            <th className="py-1 font-normal">{say('Chance of an order, mean')}</th>
            <td>{Math.round(sums.chanceBefore * 100)} %</td>
            <td>
              <strong>{Math.round(sums.chance * 100)} %</strong>
            </td>
          </tr>
          <tr className="border-t border-rule">
            <th className="py-1 font-normal">{say('Batches at risk')}</th>
            <td>{sums.atRiskBefore}</td>
            <td>
              <strong>{sums.atRisk}</strong>
            </td>
          </tr>
          <tr className="border-t border-rule">
            <th className="py-1 font-normal">{say('Lack of room, trays × days')}</th>
            <td>{Math.round(sums.overflowBefore)}</td>
            <td>
              <strong>{Math.round(sums.overflow)}</strong>
            </td>
          </tr>
        </tbody>
      </table>
      {lines.length === 0 && <p className="text-pencil">{say('Nothing is changed in it yet. Drag a sowing while the draft is chosen.')}</p>}
      <ul>
        {lines.map((line) => (
          <li key={line.batch} className="border-t border-rule py-1.5">
            <strong>
              {line.batch} {line.variety}
            </strong>
            {say(', wanted {target}', { target: shortDay(line.target) })}
            {line.sowDay !== line.sowDayBefore && (
              <>
                {say('; {boughtIn, select, true {arriving} other {sown}} {sowDay} instead of {sowDayBefore}', {
                  boughtIn: line.boughtIn,
                  sowDay: shortDay(line.sowDay),
                  sowDayBefore: shortDay(line.sowDayBefore),
                })}
              </>
            )}
            {line.places !== line.placesBefore && (
              <>{say('; {places} instead of {placesBefore}', { places: line.places, placesBefore: line.placesBefore })}</>
            )}
            {told('; in time <b>{chance}</b>, was {chanceBefore}', {
              chance: chanceWords(line.chance),
              chanceBefore: chanceWords(line.chanceBefore),
            })}
          </li>
        ))}
      </ul>
      <p className="mt-2 text-pencil">{say('{batches, plural, one {# batch} other {# batches}} changed.', { batches: lines.length })}</p>
    </div>
  );
}
