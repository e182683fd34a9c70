import { Select } from '@headlessui/react';
import { useState } from 'react';
import { sendFile, type Choices, type OrderFileReading } from '../api/client';
import { useChange, useChoices } from '../api/queries';
import { ChooseTable } from '../look/ChooseTable';
import { Field } from '../look/Field';
import { FileLookedOver, readingAddress, type ChosenReading } from '../look/FileLookedOver';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { dayWords } from '../words/days';
import { say } from '../words/say';
import { TakenAs, WishesToTake } from './WishesToTake';

type OrderFound = OrderFileReading['orders'][number];

/** Columns that a line of an order must have: variety, plants, day. */
const KEYS = 3;

/** Orders out of a spreadsheet: looked over, then planned and taken grower by grower. */
export function OrdersFromFilePage() {
  const choices = useChoices();
  const [file, setFile] = useState<File>();
  const [chosen, setChosen] = useState<ChosenReading>({});
  const send = useChange((entry: { file: File; chosen: ChosenReading }) =>
    sendFile<OrderFileReading>(`/api/orders/file?${readingAddress(entry.file, entry.chosen)}`, entry.file),
  );
  if (choices.isPending) return <Loading what={say('growers and varieties')} />;
  if (choices.isError) return <Trouble error={choices.error} retry={() => choices.refetch()} />;
  const look = (next: File, how: ChosenReading) => {
    setFile(next);
    setChosen(how);
    send.mutate({ file: next, chosen: how });
  };
  return (
    <>
      <h1 className="mb-1">{say('Orders from a file')}</h1>
      <p className="mb-3 max-w-prose text-pencil">
        {say('Any table with a variety, a number and a day on each line: CSV, .xlsx or .ods. Nothing is taken before each order was planned.')}
      </p>
      <ChooseTable name={say('Choose a file')} className="act mb-3 inline-flex" chosen={(next) => look(next, {})} />
      {send.isPending && <p role="status">{say('Looking the file over…')}</p>}
      <Refusal message={send.error?.problems[0]?.message ?? send.error?.message} />
      {send.data && file && (
        <>
          <FileLookedOver reading={send.data.file} keys={KEYS} file={file.name} choose={(more) => look(file, { ...chosen, ...more })}>
            {send.data.file.faulty > 0 && send.data.orders.length > 0 && <p>{say('The other lines can be planned all the same.')}</p>}
          </FileLookedOver>
          <ul className="mt-4 flex flex-col gap-3" aria-label={say('Orders in it')}>
            {send.data.orders.map((order, index) => (
              <li key={`${send.submittedAt}-${index}`}>
                <Found order={order} choices={choices.data} />
              </li>
            ))}
          </ul>
          {send.data.orders.length === 0 && send.data.file.faulty > 0 && <Nothing>{say('No line of it can be planned.')}</Nothing>}
        </>
      )}
    </>
  );
}

/** What one grower wants; where the file does not say who or where, that is chosen. */
function Found({ order, choices }: { order: OrderFound; choices: Choices }) {
  const [growerId, setGrowerId] = useState(order.growerId == null ? '' : String(order.growerId));
  const [siteId, setSiteId] = useState(order.siteId == null ? '' : String(order.siteId));
  const [opened, setOpened] = useState(false);
  const [takenAs, setTakenAs] = useState<number>();
  const sites = choices.sites.filter((site) => String(site.growerId) === growerId);
  const site = sites.find((each) => String(each.id) === siteId);
  const grower = choices.growers.find((each) => String(each.id) === growerId);
  const chooseGrower = (id: string) => {
    const own = choices.sites.filter((each) => String(each.growerId) === id);
    setGrowerId(id);
    setSiteId(own.length === 1 ? String(own[0]!.id) : '');
  };
  return (
    <section aria-label={grower?.name ?? say('Nobody named')} className="board p-3">
      <div className="flex flex-wrap items-end gap-3">
        <div className="grow">
          <h2>{grower?.name ?? say('For whom?')}</h2>
          <p className="text-sm text-pencil">
            {site && `${site.name}; `}
            {say('{lines, plural, one {# line} other {# lines}}', { lines: order.lines.length })}
          </p>
        </div>
        {order.growerId == null && (
          <Field name={say('Grower')}>
            <Select className="entry" value={growerId} onChange={(event) => chooseGrower(event.target.value)}>
              <option value="">{say('Choose…')}</option>
              {choices.growers.map((each) => (
                <option key={each.id} value={each.id}>
                  {each.name}
                </option>
              ))}
            </Select>
          </Field>
        )}
        {order.siteId == null && growerId && (
          <Field name={say('Site')}>
            <Select className="entry" value={siteId} onChange={(event) => setSiteId(event.target.value)}>
              <option value="">{say('Choose…')}</option>
              {sites.map((each) => (
                <option key={each.id} value={each.id}>
                  {each.name}
                </option>
              ))}
            </Select>
          </Field>
        )}
        {takenAs === undefined && (
          <button type="button" className="act" aria-expanded={opened} disabled={!site} onClick={() => setOpened(!opened)}>
            {opened ? say('Close') : say('Plan it')}
          </button>
        )}
      </div>
      {takenAs !== undefined && <TakenAs order={takenAs} />}
      {opened && site && takenAs === undefined && (
        <WishesToTake
          key={site.id}
          growerId={site.growerId}
          siteId={site.id}
          lines={order.lines.map((line) => ({
            variety: line.variety,
            wish: { ...line.wish, siteId: site.id },
            note:
              line.ordered == null
                ? say('line {line}', { line: line.line })
                : say('line {line}; ordered already, as order {order}', { line: line.line, order: line.ordered }),
            sown: (sowDay) => say('Sow {day}', { day: dayWords(sowDay) }),
            leftOut: line.ordered != null,
          }))}
          taken={setTakenAs}
        />
      )}
    </section>
  );
}
