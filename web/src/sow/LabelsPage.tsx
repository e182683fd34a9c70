import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answered, api } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { announce } from '../look/announce';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { dayWords } from '../words/days';
import { say } from '../words/say';
import { formatWords } from './labelFormats';

/** What was sent to the label printer: to be looked at, and printed again as it was. */
export function LabelsPage() {
  const jobs = useQuery({ queryKey: ['label-jobs'], queryFn: () => answered(api.GET('/api/label-jobs')) });
  const again = useNumberedChange((number: number, requestId) =>
    answered(api.POST('/api/label-jobs/{number}/reprints', { params: { path: { number } }, body: { requestId } })),
  );
  if (jobs.isPending) return <Loading what={say('the label printer')} />;
  if (!jobs.data) return <Trouble error={jobs.error} retry={() => jobs.refetch()} />;
  return (
    <>
      <h1 className="mb-1">{say('Printed labels')}</h1>
      <p className="mb-3 text-pencil">
        {say('The printer is a simulated one: it takes everything and keeps it here. A real one is put in its place by whoever runs Kiver.')}
      </p>
      {jobs.data.length === 0 && (
        <Nothing>{say('Nothing was sent to it yet. Labels of a batch, or of what is sown today, are sent from their pages.')}</Nothing>
      )}
      <Refusal message={again.error?.message} />
      <ul className={jobs.data.length > 0 ? 'board divide-y divide-rule px-3' : ''}>
        {jobs.data.map((job) => (
          <li key={job.number} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
            <span className="grow">
              <strong>{say('Batches {batches}', { batches: job.batches })}</strong>, {formatWords(job.format)}
              <span className="block text-sm text-pencil">
                {say('{number}, {day}{by}{again}', {
                  number: job.number,
                  day: dayWords(job.sentOn),
                  by: job.sentBy == null ? '' : say(', by {name}', { name: job.sentBy }),
                  again: job.againOf == null ? '' : say(', {number} once more', { number: job.againOf }),
                })}
              </span>
            </span>
            <a className="trail flex min-h-11 items-center" href={`/api/label-jobs/${job.number}.pdf`} target="_blank" rel="noreferrer">
              {say('Look at them')}
            </a>
            <button
              className="act"
              disabled={again.isPending}
              onClick={() => again.mutate(job.number, { onSuccess: () => announce(say('Sent to the printer once more.')) })}
            >
              {say('Print again')}
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-3">
        <Link className="trail inline-flex min-h-11 items-center" to="/sow">
          {say('What is sown today')}
        </Link>
      </p>
    </>
  );
}
