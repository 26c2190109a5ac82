import { useRef, useState } from 'react';
import { api, bodyOf } from '../../../api/client';
import type { Programme, ProgrammeDay } from '../../../api/types';
import { saveText } from '../../../lib/file';
import { Button, buttonLook } from '../../../parts/Button';
import { Refusal } from '../../../parts/Refusal';
import { useAtTank } from '../../../TankContext';
import { switchTable } from './switchTable';

/** The programme as a file, out and in; what is read in is a change like any other, to be saved or undone. */
export function FileRow({
  programme,
  day,
  read,
}: {
  programme: Programme;
  /** The day that is shown, once it is. */
  day?: ProgrammeDay;
  read: (programme: Programme) => void;
}) {
  const { tank } = useAtTank();
  const input = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState<string>();
  const take = async (file?: File) => {
    if (!file) return;
    setProblem(undefined);
    try {
      const parsed = JSON.parse(await file.text()) as Programme;
      // Looked through by the server before it takes any place: what is wrong with it is said in words.
      await bodyOf(
        api.POST('/api/v1/tanks/{tankId}/programme/day', {
          params: { path: { tankId: tank.id } },
          body: { programme: parsed },
        }),
      );
      read(parsed);
    } catch (e) {
      setProblem(
        e instanceof SyntaxError
          ? `${file.name} is no programme: it is not JSON.`
          : `${file.name} was not read: ${e instanceof Error ? e.message : 'it is no programme.'}`,
      );
    }
  };
  return (
    <section className="flex flex-wrap items-center gap-3 border-t border-hairline pt-4 print:hidden">
      <Button
        look="quiet"
        onClick={() =>
          saveText(
            `programme-${tank.description.name}.json`,
            'application/json',
            JSON.stringify(programme, null, 2),
          )
        }
      >
        take it out as a file
      </Button>
      <Button
        look="quiet"
        disabled={!day}
        onClick={() =>
          day && saveText(`switches-${day.day}.csv`, 'text/csv', switchTable(day, tank.zone))
        }
      >
        this day as a table of switches
      </Button>
      <a
        href={`/api/v1/tanks/${tank.id}/programme/steps.ics`}
        download
        className={buttonLook('quiet')}
      >
        four weeks for a calendar, as saved
      </a>
      <Button look="quiet" onClick={() => input.current?.click()}>
        read one in
      </Button>
      <input
        ref={input}
        type="file"
        accept="application/json,.json"
        aria-label="A programme’s file"
        className="sr-only"
        onChange={(e) => {
          void take(e.target.files?.[0]);
          e.target.value = '';
        }}
      />
      <Button look="quiet" onClick={() => window.print()}>
        print
      </Button>
      <Refusal message={problem} />
    </section>
  );
}
