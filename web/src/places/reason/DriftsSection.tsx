import { useState } from 'react';
import type { DriftView, MeasuredCourse } from '../../api/types';
import { useDrifts } from '../../api/unnoted';
import { CourseDrawing } from '../../drawings/CourseDrawing';
import { Button } from '../../parts/Button';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { axis, driftSentence, driftTitle, level, notedOf } from './driftWords';
import { NoteForm } from './NoteForm';

/** What the room's meter and tests of alkalinity show of themselves. */
export function DriftsSection() {
  const { tank } = useAtTank();
  const drifts = useDrifts(tank.id);
  const courses = (drifts.data?.courses ?? []).filter((c) => c.drifts.length > 0);
  if (!drifts.error && courses.length === 0) return null;
  return (
    <section aria-labelledby="drifts" className="grid gap-6 border-t border-hairline pt-6">
      <h2 id="drifts" className="text-xl font-bold">
        Slow changes in room and tests
        <span className="font-normal text-soft"> · already subtracted above</span>
      </h2>
      {drifts.error && <Waiting error={drifts.error} retry={() => void drifts.refetch()} />}
      {courses.map((course) => (
        <Course key={course.of} course={course} />
      ))}
    </section>
  );
}

function Course({ course }: { course: MeasuredCourse }) {
  const { units } = useAtTank();
  const [ref, width] = useWidth();
  const shown = (value: number) => level(course.of, value, units.alkalinity);
  return (
    <article className="grid gap-3">
      {course.drifts.map((d) => (
        <Drift key={d.drift.from} of={course.of} view={d} />
      ))}
      <figure ref={ref} className="grid gap-1">
        {width > 0 && (
          <CourseDrawing
            measured={course.measured.map((m) => ({ at: m.at, value: shown(m.value) }))}
            drifts={course.drifts.map(({ drift }) => ({
              ...drift,
              begins: shown(drift.begins),
              ends: shown(drift.ends),
            }))}
            says={course.drifts.map((d) => driftSentence(course.of, d, units.alkalinity)).join(' ')}
            width={Math.min(width, 720)}
          />
        )}
        <figcaption className="text-sm text-soft">{axis(course.of, units.alkalinity)}</figcaption>
      </figure>
    </article>
  );
}

function Drift({ of, view }: { of: MeasuredCourse['of']; view: DriftView }) {
  const { units } = useAtTank();
  const [noting, setNoting] = useState(false);
  const sentence = driftSentence(of, view, units.alkalinity);
  return (
    <div className="grid gap-2">
      <p className="max-w-prose text-lg leading-snug">
        {sentence} <span className="text-soft">{notedOf(view)}</span>
      </p>
      {view.noted.length === 0 && !noting && (
        <Button look="quiet" className="justify-self-start" onClick={() => setNoting(true)}>
          Add when it began
        </Button>
      )}
      {noting && (
        <NoteForm
          suggested={driftTitle(of, view)}
          since={view.drift.from}
          text={sentence}
          close={() => setNoting(false)}
        />
      )}
    </div>
  );
}
