import { useState } from 'react';
import { useTemplate, type TemplateName } from '../../../api/programme';
import type { Programme } from '../../../api/types';
import { Button } from '../../../parts/Button';
import { Choice, Field } from '../../../parts/Field';
import { useNotice } from '../../../parts/Notices';
import { Refusal } from '../../../parts/Refusal';
import { useAtTank } from '../../../TankContext';

const TEMPLATES: readonly { value: TemplateName; label: string; about: string }[] = [
  {
    value: 'BUBBLE_HOUR',
    label: 'micro-bubble hour',
    about:
      'An hour in the evening: a stone at the return, pumps of one side in waves, those of the other still, two surges at full power afterwards.',
  },
  {
    value: 'NIGHT_MEDIA',
    label: 'media at night, dry fresh air by day',
    about: 'While the lamps are off the skimmer’s exhaust goes back through media, 5 % fresh.',
  },
  {
    value: 'GATE_BELOW_PH',
    label: 'media only while pH is low',
    about: 'Fresh air goes through media below a pH, and past them above it.',
  },
  {
    value: 'NIGHT_MEDIA_BELOW_PH',
    label: 'media in low-pH nights',
    about:
      'In dark hours of low pH the exhaust goes back through media, 5 % fresh. A pump dries the media by day.',
  },
  {
    value: 'REVERSE_REFUGIUM',
    label: 'refugium lit at night',
    about: 'Its algae take CO2 up while the display gives it off.',
  },
  {
    value: 'NIGHT_DOSES',
    label: 'doses over the night',
    about: 'Every line spreads its doses over the dark hours, when pH is lowest.',
  },
  {
    value: 'FEEDING_PAUSE',
    label: 'feeding pause',
    about: 'Two hours after lamps-on flow rests for ten minutes; the return runs on.',
  },
  {
    value: 'QUIET_NIGHT',
    label: 'quiet night',
    about: 'Flow pumps run at 40 % while the lamps are off.',
  },
  {
    value: 'HOLIDAY',
    label: 'holiday',
    about: 'On those days only the usual day, and fresh air for the skimmer.',
  },
];

/** What keepers commonly make of a day, fitted to this tank; it is a change like any other. */
export function Templates({
  programme,
  change,
}: {
  programme: Programme;
  change: (programme: Programme) => void;
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
        programme,
        holidayFrom: from.slice(5) || undefined,
        holidayUntil: until.slice(5) || undefined,
      })
      .then((made) => {
        setCautions(made.cautions);
        change(made.programme);
        tell(`It is in the day: ${chosen?.label ?? ''}.`, () => {
          change(programme);
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
        What others make of a day
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
            <Field
              label="First day"
              type="date"
              className="w-44"
              value={from}
              onChange={(e) => setFrom(e.target.value)}
            />
            <Field
              label="Last day"
              type="date"
              className="w-44"
              value={until}
              onChange={(e) => setUntil(e.target.value)}
            />
          </>
        )}
        <Button onClick={putIn} disabled={fit.isPending}>
          Put it in
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
          <strong>Mind:</strong> {caution}
        </p>
      ))}
    </div>
  );
}
