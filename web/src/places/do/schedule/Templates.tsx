import { useState } from 'react';
import { useTemplate, type TemplateName } from '../../../api/schedule';
import type { Schedule } from '../../../api/types';
import { Button } from '../../../parts/Button';
import { Choice } from '../../../parts/Choice';
import { When } from '../../../parts/When';
import { useNotice } from '../../../parts/Notices';
import { Refusal } from '../../../parts/Refusal';
import { useAtTank } from '../../../TankContext';

const TEMPLATES: readonly { value: TemplateName; label: string; about: string }[] = [
  {
    value: 'BUBBLE_HOUR',
    label: 'microbubble hour',
    about:
      'One hour in the evening. An air stone runs at the return and pumps on one side make waves. Two surges at full power follow.',
  },
  {
    value: 'NIGHT_MEDIA',
    label: 'media at night, fresh air by day',
    about: 'While lamps are off, the skimmer’s exhaust is recirculated through media, 5 % fresh.',
  },
  {
    value: 'GATE_BELOW_PH',
    label: 'media only while pH is low',
    about: 'Below a set pH, fresh air passes through media. Above it, past them.',
  },
  {
    value: 'NIGHT_MEDIA_BELOW_PH',
    label: 'media on low-pH nights',
    about:
      'In dark hours with low pH, exhaust is recirculated through media, 5 % fresh. A pump dries the media by day.',
  },
  {
    value: 'REVERSE_REFUGIUM',
    label: 'refugium lit at night',
    about: 'The algae take up CO2 while the display releases it.',
  },
  {
    value: 'NIGHT_DOSES',
    label: 'dosing at night',
    about: 'Each dosing line spreads its doses over the dark hours, when pH is lowest.',
  },
  {
    value: 'FEEDING_PAUSE',
    label: 'feeding pause',
    about: 'Two hours after lights-on, flow pumps pause for ten minutes. The return keeps running.',
  },
  {
    value: 'QUIET_NIGHT',
    label: 'quiet night',
    about: 'Flow pumps run at 40 % while the lamps are off.',
  },
  {
    value: 'HOLIDAY',
    label: 'holiday',
    about: 'On these days only the usual rules run, with fresh air for the skimmer.',
  },
];

/** What keepers commonly make of a day, fitted to this tank; it is a change like any other. */
export function Templates({
  schedule,
  change,
}: {
  schedule: Schedule;
  change: (schedule: Schedule) => void;
}) {
  const { tank } = useAtTank();
  const tell = useNotice();
  const fit = useTemplate(tank.id);
  const [template, setTemplate] = useState<TemplateName>('BUBBLE_HOUR');
  const [from, setFrom] = useState('');
  const [until, setUntil] = useState('');
  const [cautions, setCautions] = useState<readonly string[]>([]);
  const chosen = TEMPLATES.find((t) => t.value === template);
  const putIn = () =>
    void fit
      .mutateAsync({
        template,
        schedule,
        holidayFrom: from.slice(5) || undefined,
        holidayUntil: until.slice(5) || undefined,
      })
      .then((made) => {
        setCautions(made.cautions);
        change(made.schedule);
        tell(`Template added: ${chosen?.label ?? ''}.`, () => {
          change(schedule);
          setCautions([]);
        });
      })
      .catch(() => undefined);
  return (
    <section
      aria-labelledby="templates"
      className="grid gap-3 border-t border-hairline pt-4 print:hidden"
    >
      <h2 id="templates" className="text-lg font-bold">
        Templates
      </h2>
      <div className="flex flex-wrap items-end gap-3">
        <Choice
          label="Fitted to this tank"
          className="w-80"
          value={template}
          options={TEMPLATES}
          onChange={(e) => {
            setTemplate(e.target.value as TemplateName);
            setCautions([]);
          }}
        />
        {template === 'HOLIDAY' && (
          <>
            <When
              label="First day"
              kind="date"
              className="w-44"
              value={from}
              onChange={(e) => setFrom(e.target.value)}
            />
            <When
              label="Last day"
              kind="date"
              className="w-44"
              value={until}
              onChange={(e) => setUntil(e.target.value)}
            />
          </>
        )}
        <Button onClick={putIn} disabled={fit.isPending}>
          Use this template
        </Button>
      </div>
      <p className="max-w-prose text-soft">{chosen?.about}</p>
      <Refusal message={fit.error?.message} />
      {cautions.length > 0 && <Mind cautions={cautions} />}
    </section>
  );
}

/** Where it can hurt, at the step at which it is decided. */
function Mind({ cautions }: { cautions: readonly string[] }) {
  return (
    <div className="grid gap-2 border-l-2 border-ink/40 pl-4">
      {cautions.map((caution) => (
        <p key={caution} className="max-w-prose">
          <strong>Caution: </strong> {caution}
        </p>
      ))}
    </div>
  );
}
