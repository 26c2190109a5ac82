import { useAbsences } from '../../api/effects';
import type { AbsenceView } from '../../api/types';
import { type Overlaid, OverlayDrawing } from '../../drawings/OverlayDrawing';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { ClearedRoom } from './ClearedRoom';
import { absenceTitle, phSentences, roomSentence } from './absenceWords';

const BEFORE_H = -24;
const SHOWN_H = 72;
/** Side by side from here on. */
const WIDE = 720;
const GAP = 32;

/** What happened whenever nobody was home, laid over each other from the hour in which they left. */
export function AbsencesSection() {
  const { tank } = useAtTank();
  const absences = useAbsences(tank.id);
  const [ref, width] = useWidth();
  const all = absences.data?.absences ?? [];
  if (!absences.error && all.length === 0) return null;
  const measured = all.find((a) => a.clearing);
  const each = width >= WIDE ? (width - GAP) / 2 : width;
  const back = all.filter((a) => a.cameBack);
  const drawings = [
    {
      name: 'pH compared with usual, hours since people left',
      courses: courses(all, 'ph', () => 0),
    },
    {
      name: 'pH compared with usual, hours since people returned',
      courses: courses(back, 'ph', length),
    },
    {
      name: 'room CO2 above outdoors, ppm, hours since people left',
      courses: courses(all, 'room', () => 0),
    },
    {
      name: 'room CO2 above outdoors, ppm, hours since people returned',
      courses: courses(back, 'room', length),
    },
  ].filter((d) => d.courses.length > 0);

  function courses(
    of: readonly AbsenceView[],
    what: 'ph' | 'room',
    zero: (absence: AbsenceView) => number,
  ): Overlaid[] {
    return of
      .map((a) => ({
        name: absenceTitle(a, tank.zone),
        points: (what === 'ph' ? (a.ph?.course ?? []) : a.room).map((p) => ({
          hours: p.hours - zero(a),
          by: p.by,
        })),
      }))
      .filter((c) => c.points.some((p) => p.hours >= BEFORE_H && p.hours <= SHOWN_H));
  }

  return (
    <section aria-labelledby="absences" className="grid gap-4 border-t border-hairline pt-6">
      <h2 id="absences" className="text-xl font-bold">
        When nobody was home
      </h2>
      {absences.error && <Waiting error={absences.error} retry={() => void absences.refetch()} />}
      {all.map((a) => (
        <div key={a.eventId} className="max-w-prose">
          <h3 className="font-bold">{absenceTitle(a, tank.zone)}</h3>
          <p className="text-lg leading-snug">{phSentences(a.ph).join(' ')}</p>
          <p>{roomSentence(a)}</p>
          {a === measured && <ClearedRoom absence={a} />}
        </div>
      ))}
      <div ref={ref} className="flex flex-wrap gap-x-8 gap-y-4">
        {width > 0 &&
          drawings.map((d) => (
            <figure key={d.name} className="grid gap-1">
              <OverlayDrawing
                courses={d.courses}
                from={BEFORE_H}
                until={SHOWN_H}
                says={`${d.name}: ${d.courses.map((c) => c.name).join('; ')}`}
                width={Math.floor(each)}
              />
              <figcaption className="text-sm text-soft">{d.name}</figcaption>
            </figure>
          ))}
      </div>
    </section>
  );
}

const length = (a: AbsenceView) =>
  (Date.parse(a.cameBack ?? a.left) - Date.parse(a.left)) / 3_600_000;
