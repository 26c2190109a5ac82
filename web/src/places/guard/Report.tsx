import type { OutageView, Units } from '../../api/types';
import { show } from '../../lib/measure';
import { clockTime, dayAndTime } from '../../lib/time';
import { Button } from '../../parts/Button';
import { useAtTank } from '../../TankContext';

const KIND: Record<OutageView['notes'][number]['kind'], string> = {
  STEP_DONE: 'done',
  STEP_SKIPPED: 'skipped',
  STEP_UNDONE: 'opened again',
  BACKUP_ON: 'started',
  BACKUP_OFF: 'stopped',
  BACKUP_FAILED: 'broken',
  OXYGEN: 'oxygen',
  AMMONIA: 'ammonia',
  NITRITE: 'nitrite',
  ROOM_TEMPERATURE: 'the room',
  WATER_TEMPERATURE: 'the water',
  FED: 'last fed before the failure',
  FED_NOW: 'fed',
  WRAPPED: 'wrapped',
  HEAT_PACKS: 'heat packs outside',
  SPONGE_IN: 'seasoned sponge in',
  BACTERIA_IN: 'bacteria in',
  BINDER_IN: 'ammonia binder in',
  NOBODY_COMES: 'nobody can come',
  SOMEBODY_COMES: 'someone can get there',
  GASPING: 'the animals gasp',
  CALM: 'the animals are calm',
  NOTE: '',
};

/** A noted value with its unit, as its keeper reads it. */
function withUnit(kind: keyof typeof KIND, value: number, units: Units): string {
  if (kind === 'ROOM_TEMPERATURE' || kind === 'WATER_TEMPERATURE')
    return show(value, 'temperature', units);
  if (kind === 'HEAT_PACKS') return String(value);
  return `${value} ${kind === 'FED' ? 'h' : 'mg/L'}`;
}

/** What happened, in short, to keep or print. */
export function Report({ view, close }: { view: OutageView; close: () => void }) {
  const { tank, units } = useAtTank();
  const name = (id: string | undefined) => view.tanks.find((t) => t.tankId === id)?.name ?? 'home';
  const what = (note: OutageView['notes'][number]) => {
    const clock = view.tanks.find((t) => t.tankId === note.tankId);
    const step = [...(clock?.steps ?? []), ...(clock?.after ?? [])].find(
      (s) => s.step.id === note.ref,
    );
    const thing = clock?.kit.find((k) => k.kitId === note.ref);
    return step?.step.what ?? thing?.name ?? note.text ?? '';
  };
  return (
    <section aria-labelledby="report" className="grid gap-2 border-t pt-4">
      <h2 id="report" className="text-lg font-bold">
        Report
      </h2>
      <p>
        {dayAndTime(view.startedAt, tank.zone)} to{' '}
        {view.endedAt && dayAndTime(view.endedAt, tank.zone)}
        {view.cuts > 1 && `, ${view.cuts} cuts`}.{' '}
        {view.notes.length === 0 ? 'Nothing was logged.' : `${view.notes.length} notes:`}
      </p>
      <ul>
        {view.notes.map((note) => (
          <li key={note.id} className="border-b py-1">
            {clockTime(note.at, tank.zone)} {name(note.tankId)}: {what(note)} {KIND[note.kind]}
            {note.value !== undefined && ` ${withUnit(note.kind, note.value, units)}`}
            {note.byWhom && `, ${note.byWhom}`}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-3 pt-2">
        <Button onClick={() => window.print()}>Print</Button>
        <Button onClick={close}>Close this outage’s page</Button>
      </div>
    </section>
  );
}
