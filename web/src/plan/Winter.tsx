import type { PlanView } from '../api/client';
import { dayWords } from '../words/days';
import { say } from '../words/say';
import { degrees } from '../words/quantity';

type WinterView = NonNullable<PlanView['winter']>;
type Span = NonNullable<WinterView['autumn']>;

/** How plants stand over winter, and the two spans in which they can go out. */
export function Winter({ winter, stand }: { winter: WinterView; stand: string }) {
  const span = (between: Span | null | undefined, none: string) =>
    between ? say('{from} to {until}', { from: dayWords(between.from), until: dayWords(between.until) }) : none;
  return (
    <section aria-label={say('Over winter')}>
      <h3 className="mb-1">{say('Over winter')}</h3>
      <dl className="grid grid-cols-[8rem_1fr] gap-x-3 gap-y-1 text-sm">
        <dt className="text-pencil">{say('Goes out in autumn')}</dt>
        <dd>{span(winter.autumn, say('not sown early enough for that'))}</dd>
        <dt className="text-pencil">{say('or in spring')}</dt>
        <dd>{span(winter.spring, say('past its best before the site takes it'))}</dd>
        <dt className="text-pencil">{say('Rests')}</dt>
        <dd>{say('{from} to {until}: less than a leaf a month', { from: dayWords(winter.restsFrom), until: dayWords(winter.growsFrom) })}</dd>
        {winter.coldWinters > 0 && (
          <>
            <dt className="text-pencil">{say('Cold nights')}</dt>
            <dd className={winter.coldWinters > 0.1 ? 'text-ochre' : ''}>
              {say(
                '{winters, plural, =100 {In every winter} other {In # of 100 winters}} some night on the {stand} falls below {floor}: cover them or bring them in on it. The evening says when.',
                { winters: Math.round(winter.coldWinters * 100), stand: stand.toLowerCase(), floor: degrees(winter.floorCelsius, 0) },
              )}
            </dd>
          </>
        )}
      </dl>
    </section>
  );
}
