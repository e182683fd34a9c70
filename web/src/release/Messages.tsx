import { useQuery } from '@tanstack/react-query';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Refusal } from '../look/States';
import { dayWords } from '../words/days';
import { say } from '../words/say';

/** What was written to growers, and what did not leave. */
export function Messages() {
  const messages = useQuery({ queryKey: ['messages'], queryFn: () => answered(api.GET('/api/messages')) });
  const again = useChange((number: number) => answered(api.POST('/api/messages/{number}/sendings', { params: { path: { number } } })));
  const held = messages.data?.filter((each) => each.state !== 'SENT') ?? [];
  return (
    <section aria-label={say('Messages')} className="mt-6">
      <h2 className="mb-2">{say('Messages')}</h2>
      <Refusal message={again.error?.message} />
      {held.length > 0 && (
        <ul className="board mb-3 divide-y divide-rule">
          {held.map((message) => (
            <li key={message.number} className="flex flex-wrap items-center gap-3 p-3">
              <span className="font-semibold text-brick">{say('Did not leave')}</span>
              <span className="min-w-0 flex-1">
                {say('{subject}, to {address}', { subject: message.subject, address: message.address })}
                {message.problem != null && <span className="block text-sm text-pencil">{message.problem}</span>}
              </span>
              <button className="act" disabled={again.isPending} onClick={() => again.mutate(message.number)}>
                {say('Send again')}
              </button>
            </li>
          ))}
        </ul>
      )}
      <details>
        <summary className="trail min-h-11 content-center">
          {say('{count, plural, =0 {Nothing was written yet} one {One message was written} other {The last # messages}}', {
            count: messages.data?.length ?? 0,
          })}
        </summary>
        <ul className="board divide-y divide-rule">
          {messages.data?.map((message) => (
            <li key={message.number} className="p-3">
              <p>
                <b>{message.subject}</b>{' '}
                <span className="text-sm text-pencil">
                  {say('{day}, to {address}', { day: dayWords(message.writtenOn), address: message.address })}
                </span>
              </p>
              <p className="text-sm whitespace-pre-line">{message.body}</p>
            </li>
          ))}
        </ul>
      </details>
    </section>
  );
}
