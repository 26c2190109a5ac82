import { Link } from '@tanstack/react-router';
import {
  useBadLines,
  useConflicts,
  useReplaceConflicts,
  useUndoImport,
} from '../../../api/imports';
import type { Import } from '../../../api/types';
import { dayAndTime, localInput } from '../../../lib/time';
import { RAW_UNIT } from '../../../lib/units';
import { Button, buttonLook } from '../../../parts/Button';
import { useNotice } from '../../../parts/Notices';
import { useAtTank } from '../../../TankContext';
import { BackToFiles } from './Bring';
import { BadLines } from './PreviewTable';

const LISTED = 12;
const count = (n: number, what: string) => `${n.toLocaleString('en')} ${what}${n === 1 ? '' : 's'}`;

const ENDED: Partial<Record<Import['state'], string>> = {
  DONE: 'is in the log',
  STOPPED: 'was stopped',
  FAILED: 'could not be imported',
};

/** What a file brought, what it contradicts, and what could not be taken. */
export function Outcome({ file }: { file: Import }) {
  const { tank } = useAtTank();
  const undo = useUndoImport(tank.id);
  const tell = useNotice();
  return (
    <div className="grid max-w-4xl gap-6">
      <section aria-labelledby="outcome" className="grid gap-2">
        <h1 id="outcome" className="text-xl font-bold">
          {file.name} {ENDED[file.state]}
        </h1>
        {file.reason && <p className="border-l-4 border-accent pl-3">{file.reason}</p>}
        <p className="text-lg">
          <strong>{count(file.saved, 'new reading')}</strong>
          {file.firstAt && file.lastAt && (
            <>
              , from {dayAndTime(file.firstAt, tank.zone)} to {dayAndTime(file.lastAt, tank.zone)}
            </>
          )}
          .
          {file.alreadyThere > 0 &&
            ` ${count(file.alreadyThere, 'reading')} were already in the log.`}
        </p>
        <div className="flex flex-wrap items-center gap-4">
          {file.lastAt && (
            <>
              <Link
                to="/tank/$tankId/today"
                params={{ tankId: tank.id }}
                search={{ day: localInput(new Date(file.lastAt), tank.zone).slice(0, 10) }}
                className={buttonLook('main')}
              >
                Show its last day
              </Link>
              <Link
                to="/tank/$tankId/history"
                params={{ tankId: tank.id }}
                search={{ from: file.firstAt, to: file.lastAt }}
                className={buttonLook('plain')}
              >
                Show all of it
              </Link>
            </>
          )}
          <Button
            look="quiet"
            disabled={undo.isPending}
            onClick={() =>
              undo.mutate(file.id, {
                onSuccess: () => {
                  tell(`${file.name} removed from the log.`);
                  history.back();
                },
              })
            }
          >
            Remove all of it from the log
          </Button>
          <BackToFiles />
        </div>
      </section>
      {file.conflicts > 0 && <Conflicts file={file} />}
      {file.bad > 0 && <Bad file={file} />}
    </div>
  );
}

function Conflicts({ file }: { file: Import }) {
  const { tank } = useAtTank();
  const conflicts = useConflicts(tank.id, file.id).data ?? [];
  const replace = useReplaceConflicts(tank.id, file.id);
  return (
    <section aria-labelledby="conflicts" className="border-t pt-4">
      <h2 id="conflicts" className="text-xl font-bold">
        {count(file.conflicts, 'time')} differ from the log
      </h2>
      <p className="pb-2">
        {file.replaced ? 'The file’s values are used.' : 'The log’s values were kept.'}{' '}
        {file.state === 'DONE' && (
          <Button
            look="quiet"
            disabled={replace.isPending}
            onClick={() => replace.mutate(!file.replaced)}
          >
            {file.replaced ? 'Use the log’s values' : 'Use the file’s values'}
          </Button>
        )}
      </p>
      {replace.error && (
        <p role="alert" className="font-semibold">
          ✕ {replace.error.message}
        </p>
      )}
      <table className="w-full max-w-2xl">
        <thead className="text-left text-sm text-soft">
          <tr>
            <th className="font-normal">time</th>
            <th className="text-right font-normal">in the log</th>
            <th className="text-right font-normal">in the file</th>
          </tr>
        </thead>
        <tbody>
          {conflicts.slice(0, LISTED).map((c, i) => (
            <tr key={i} className="border-b">
              <td className="py-1">{dayAndTime(c.at, tank.zone)}</td>
              <td className="text-right">
                {c.stored} {RAW_UNIT[c.unit].label}
              </td>
              <td className="text-right">{c.offered}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <More shown={Math.min(LISTED, conflicts.length)} all={file.conflicts} />
    </section>
  );
}

function Bad({ file }: { file: Import }) {
  const { tank } = useAtTank();
  const lines = useBadLines(tank.id, file.id).data ?? [];
  return (
    <section aria-labelledby="bad" className="border-t pt-4">
      <h2 id="bad" className="pb-1 text-xl font-bold">
        {count(file.bad, 'line')} could not be imported
      </h2>
      <BadLines lines={lines.slice(0, LISTED)} />
      <More shown={Math.min(LISTED, lines.length)} all={file.bad} />
    </section>
  );
}

function More({ shown, all }: { shown: number; all: number }) {
  return all > shown ? (
    <p className="pt-1 text-soft">and {(all - shown).toLocaleString('en')} more</p>
  ) : null;
}
