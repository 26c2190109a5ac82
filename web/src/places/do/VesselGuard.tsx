import { useState } from 'react';
import { useGuardLine } from '../../api/dosing';
import type { Line, NewGuard } from '../../api/types';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { useAtTank } from '../../TankContext';

export const SIPHON: { value: NewGuard['siphon']; label: string }[] = [
  { value: 'NOTHING', label: 'nothing' },
  { value: 'OUTLET_ABOVE', label: 'the outlet is above the vessel, in air' },
  { value: 'ANTI_SIPHON_VALVE', label: 'an anti-siphon valve' },
];

export const STUCK: { value: NewGuard['stuck']; label: string }[] = [
  { value: 'NOTHING', label: 'nothing' },
  { value: 'METERED_HEAD', label: 'a dosing pump with its own daily limit' },
  { value: 'TIMER_IN_SERIES', label: 'a timer in series' },
];

const named = (all: { value: string; label: string }[], value: string | undefined) =>
  all.find((one) => one.value === value)?.label ?? 'not described';

/** What stands on the card of a line: how its vessel is kept from emptying at once. */
export const guardInWords = (line: Line) =>
  `Against a siphon: ${named(SIPHON, line.siphon)}. Against a stuck pump: ${named(STUCK, line.stuck)}.`;

/** What the whole vessel would do at once, and what prevents it. */
export function VesselGuard({ line }: { line: Line }) {
  const { tank } = useAtTank();
  const guard = useGuardLine(tank.id);
  const tell = useNotice();
  const [open, setOpen] = useState(false);
  const [siphon, setSiphon] = useState<NewGuard['siphon']>(line.siphon ?? 'NOTHING');
  const [stuck, setStuck] = useState<NewGuard['stuck']>(line.stuck ?? 'NOTHING');
  const { emptied } = line;
  if (!emptied || emptied.dkh === 0) return null;
  const closed =
    (line.siphon ?? 'NOTHING') !== 'NOTHING' && (line.stuck ?? 'NOTHING') !== 'NOTHING';
  return (
    <section
      aria-label="If the vessel empties at once"
      className={`grid max-w-prose gap-2 border-l-4 pl-3 ${emptied.kills && !closed ? 'border-danger' : 'border-hairline'}`}
    >
      <p>
        {emptied.kills && !closed && '✕ '}
        If the whole vessel empties at once: +{emptied.dkh.toFixed(1)} dKH and pH{' '}
        {emptied.phNbs.toFixed(1)}. {emptied.kills ? 'Animals would die.' : 'Animals survive that.'}{' '}
        <span className="text-soft">{guardInWords(line)}</span>
      </p>
      {open ? (
        <form
          className="grid gap-3"
          onSubmit={(e) => {
            e.preventDefault();
            guard.mutate(
              { id: line.id, siphon, stuck },
              {
                onSuccess: () => {
                  setOpen(false);
                  tell('Saved on the mixing card.');
                },
              },
            );
          }}
        >
          <Choice
            label="What prevents a siphon?"
            options={SIPHON}
            value={siphon}
            onChange={(e) => setSiphon(e.target.value as NewGuard['siphon'])}
          />
          <Choice
            label="What stops a stuck pump?"
            options={STUCK}
            value={stuck}
            onChange={(e) => setStuck(e.target.value as NewGuard['stuck'])}
          />
          <div className="flex gap-3">
            <Button type="submit" look="main" disabled={guard.isPending}>
              Save
            </Button>
            <Button onClick={() => setOpen(false)}>Cancel</Button>
          </div>
          <Refusal message={guard.error?.message} />
        </form>
      ) : (
        <Button look="quiet" className="justify-self-start" onClick={() => setOpen(true)}>
          {line.siphon ? 'Change' : 'Describe the protection'}
        </Button>
      )}
    </section>
  );
}
