import { useState } from 'react';
import { api, bodyOf } from '../../../api/client';
import type { Schedule, ScheduleDay } from '../../../api/types';
import { saveText } from '../../../lib/file';
import { Button, buttonLook } from '../../../parts/Button';
import { FileButton } from '../../../parts/FileButton';
import { Refusal } from '../../../parts/Refusal';
import { useAtTank } from '../../../TankContext';
import { switchTable } from './switchTable';

/** The schedule as a file, out and in; what is read in is a change like any other, to be saved or undone. */
export function FileRow({
  schedule,
  day,
  read,
}: {
  schedule: Schedule;
  /** The day that is shown, once it is. */
  day?: ScheduleDay;
  read: (schedule: Schedule) => void;
}) {
  const { tank } = useAtTank();
  const [problem, setProblem] = useState<string>();
  const take = async (file: File) => {
    setProblem(undefined);
    try {
      const parsed = JSON.parse(await file.text()) as Schedule;
      // Looked through by the server before it takes any place: what is wrong with it is said in words.
      await bodyOf(
        api.POST('/api/v1/tanks/{tankId}/schedule/day', {
          params: { path: { tankId: tank.id } },
          body: { schedule: parsed },
        }),
      );
      read(parsed);
    } catch (e) {
      setProblem(
        e instanceof SyntaxError
          ? `${file.name} is not a schedule file: it is not JSON.`
          : `${file.name} was not read: ${e instanceof Error ? e.message : 'this is not a schedule.'}`,
      );
    }
  };
  return (
    <section className="flex flex-wrap items-center gap-3 border-t border-hairline pt-4 print:hidden">
      <Button
        look="quiet"
        onClick={() =>
          saveText(
            `schedule-${tank.description.name}.json`,
            'application/json',
            JSON.stringify(schedule, null, 2),
          )
        }
      >
        Export as a file
      </Button>
      <Button
        look="quiet"
        disabled={!day}
        onClick={() =>
          day && saveText(`switches-${day.day}.csv`, 'text/csv', switchTable(day, tank.zone))
        }
      >
        Export this day as a table
      </Button>
      <a
        href={`/api/v1/tanks/${tank.id}/schedule/steps.ics`}
        download
        className={buttonLook('quiet')}
      >
        Export four weeks as a calendar
      </a>
      <FileButton
        label="Schedule file"
        accept="application/json,.json"
        look="quiet"
        take={(file) => void take(file)}
      >
        Import a schedule
      </FileButton>
      <Button look="quiet" onClick={() => window.print()}>
        print
      </Button>
      <Refusal message={problem} />
    </section>
  );
}
