import { useState } from 'react';
import type { ProgrammeView } from '../api/client';
import { useProgrammes } from '../api/queries';
import { OutingMark } from './OutingMark';
import { say } from '../words/say';
import { OwnProgramme } from './OwnProgramme';
import { programmeWords } from './programmeWords';

type Day = ProgrammeView['days'][number];

const NIGHTS: Record<Day['night'], string> = { IN: say('night in'), COVERED: say('night out under fleece'), OUT: say('night out') };

/** "3 hours in the shade, in the lee, night in" */
export const exposureWords = (day: Day): string =>
  say(
    '{hours, plural, =24 {all day} one {# hour} other {# hours}} {sun, select, yes {in the sun} other {in the shade}}, {wind, select, yes {in the wind} other {in the lee}}, {night}',
    { hours: day.hours, sun: day.inSun ? 'yes' : 'no', wind: day.inWind ? 'yes' : 'no', night: NIGHTS[day.night] },
  );

/** The schools of hardening, drawn day by day, and those of the nursery's own. */
export function Programmes({ mayChange }: { mayChange: boolean }) {
  const programmes = useProgrammes().data;
  const [written, setWritten] = useState<ProgrammeView | undefined>();
  if (!programmes) return null;
  return (
    <section aria-label={say('Programmes')} className="board mt-5 p-4">
      <h2>{say('Programmes')}</h2>
      <p className="text-sm text-pencil">
        {say('Good growers differ. The usual one follows the class of the crop and how warm and dark it was raised; each batch may have another.')}
      </p>
      <ul>
        {programmes.map((programme) => (
          <li key={programme.code} className="border-t border-rule py-2">
            <div className="flex flex-wrap items-center gap-x-3">
              <b>{programmeWords(programme.code, programme.name)}</b>
              <span className="text-sm text-pencil">
                {say('{days, plural, =0 {straight out} one {# day} other {# days}}', { days: programme.days.length })}
              </span>
              {mayChange && programme.days.length > 0 && (
                <button
                  className="act ml-auto text-sm"
                  onClick={() => setWritten(programme.own ? programme : { ...programme, code: '', name: '', own: true })}
                >
                  {programme.own ? say('Change') : say('Begin one of our own with it')}
                  <span className="sr-only"> {programmeWords(programme.code, programme.name)}</span>
                </button>
              )}
            </div>
            <ol className="mt-1 flex flex-wrap gap-1">
              {programme.days.map((day, index) => (
                <li key={index} className="flex w-14 flex-col items-center border border-rule p-1 text-sm">
                  <OutingMark day={{ ...day, byDay: 'OUT', atNight: day.night === 'COVERED' ? 'FLEECE' : day.night }} />
                  <span aria-hidden>{say('{hours} h', { hours: day.hours })}</span>
                  <span className="sr-only">{exposureWords(day)}</span>
                </li>
              ))}
            </ol>
          </li>
        ))}
      </ul>
      {written && <OwnProgramme key={written.code} from={written} close={() => setWritten(undefined)} />}
    </section>
  );
}
