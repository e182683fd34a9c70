import type { HonestyView } from '../api/client';
import { useHonesty } from '../api/queries';
import { figures } from '../words/quantity';
import { say } from '../words/say';

type Band = HonestyView['bands'][number];

const MATTERS: Partial<Record<Band['matter'], string>> = { EMERGENCE: say('Half up'), LEAVES: say('Enough leaves') };
const LEADS: Record<Band['lead'], string> = {
  DAYS: say('up to a week before'),
  A_FORTNIGHT: say('up to two weeks before'),
  A_MONTH: say('up to a month before'),
  LONGER: say('longer before'),
};
/** Ten and ninety in a hundred leave eight of ten between them. */
const HELD = 0.8;

/** Whether what was forecast came as it was forecast: bands that should hold eight of ten, chances that should come true as often as said. */
export function HonestyChart({ year }: { year: number | undefined }) {
  const honesty = useHonesty(year);
  if (!honesty.data) return null;
  const { bands, chances } = honesty.data;
  if (bands.length === 0 && chances.length === 0)
    return (
      <p className="text-pencil">
        {say('Forecasts are kept once a week and held here against what happened. Nothing that was forecast has happened yet.')}
      </p>
    );
  return (
    <div className="grid gap-5 md:grid-cols-2">
      <div>
        <h3>{say('Days came inside the band')}</h3>
        <p className="mb-2 text-sm text-pencil">{say('Eight in ten should. The mark stands at 80 %.')}</p>
        <ol className="flex flex-col gap-1">
          {bands.map((band) => (
            <li key={`${band.matter} ${band.lead}`} className="text-sm">
              <span className="block">
                {MATTERS[band.matter]}, {LEADS[band.lead]}
              </span>
              <Share told={band.told} came={band.inside} said={HELD} />
              <span className="text-pencil">{asideWords(band)}</span>
            </li>
          ))}
        </ol>
      </div>
      <div>
        <h3>{say('Chances came true')}</h3>
        <p className="mb-2 text-sm text-pencil">{say('A line whole and in time. The mark stands where it was said.')}</p>
        <ol className="flex flex-col gap-1">
          {chances.map((chance) => (
            <li key={chance.from} className="text-sm">
              <span className="block">{say('{said} of 100 said', { said: figures(100 * chance.said) })}</span>
              <Share told={chance.told} came={chance.cameTrue} said={chance.said} />
            </li>
          ))}
        </ol>
      </div>
    </div>
  );
}

function asideWords({ told, inside, early }: Band): string {
  const late = told - inside - early;
  if (early === 0 && late === 0) return '';
  return say('{early} sooner, {late} later', { early, late });
}

/** A share as a bar, with the mark where it should end and the strip in which chance alone may put it, nine times in ten. */
function Share({ told, came, said }: { told: number; came: number; said: number }) {
  const aside = 1.645 * Math.sqrt((said * (1 - said)) / told);
  const percent = (share: number) => `${100 * Math.min(1, Math.max(0, share))}%`;
  return (
    <span className="grid grid-cols-[1fr_6rem] items-center gap-2">
      <span aria-hidden className="relative block h-4 bg-wall">
        <span
          className="absolute inset-y-0 border-x border-dashed border-rule bg-wash"
          style={{ left: percent(said - aside), right: percent(1 - said - aside) }}
        />
        <span className="absolute inset-y-1 left-0 bg-dusk" style={{ width: percent(came / told) }} />
        <span className="absolute inset-y-0 w-0.5 bg-ink" style={{ left: percent(said) }} />
      </span>
      <span className="tabular-nums">{say('{came} of {told}', { came, told })}</span>
    </span>
  );
}
