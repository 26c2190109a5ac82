import { getRouteApi, Link } from '@tanstack/react-router';
import { useState, type DragEvent } from 'react';
import { useImport, useImports, useUndoImport, useUpload } from '../../../api/imports';
import type { Import } from '../../../api/types';
import { dayAndTime } from '../../../lib/time';
import { Button, buttonLook } from '../../../parts/Button';
import { FileButton } from '../../../parts/FileButton';
import { useNotice } from '../../../parts/Notices';
import { Waiting } from '../../../parts/Waiting';
import { useAtTank } from '../../../TankContext';
import { Outcome } from './Outcome';
import { Progress } from './Progress';
import { Questions } from './Questions';

const route = getRouteApi('/signed-in/tank/$tankId/bring');
const MAX_BYTES = 250_000_000;

/** Read → Add to log → a logger's file: what it holds, what it cannot say, and then into the log. */
export function Bring() {
  const { file } = route.useSearch();
  return file === undefined ? <Choose /> : <OneFile id={file} key={file} />;
}

function OneFile({ id }: { id: number }) {
  const { tank } = useAtTank();
  const query = useImport(tank.id, id);
  if (!query.data) {
    return (
      <>
        <Waiting error={query.error} retry={() => void query.refetch()} />
        {query.error && <BackToFiles />}
      </>
    );
  }
  switch (query.data.state) {
    case 'WAITING':
      return <Questions id={id} />;
    case 'RUNNING':
      return <Progress file={query.data} />;
    default:
      return <Outcome file={query.data} />;
  }
}

export function BackToFiles() {
  const { tank } = useAtTank();
  return (
    <Link
      to="/tank/$tankId/bring"
      params={{ tankId: tank.id }}
      search={{}}
      className={buttonLook('quiet')}
    >
      Another file
    </Link>
  );
}

function Choose() {
  const { tank } = useAtTank();
  const navigate = route.useNavigate();
  const upload = useUpload(tank.id);
  const [over, setOver] = useState(false);
  const [tooLarge, setTooLarge] = useState<string | null>(null);

  const take = (file: File | undefined) => {
    if (!file) return;
    setTooLarge(null);
    if (file.size > MAX_BYTES) {
      setTooLarge(
        `${file.name} has ${Math.round(file.size / 1e6)} MB. Files can have up to 250 MB. Split it and import the parts.`,
      );
      return;
    }
    upload.mutate(file, {
      onSuccess: (offer) => void navigate({ search: { file: offer.view.id } }),
    });
  };
  const drop = (e: DragEvent) => {
    e.preventDefault();
    setOver(false);
    take(e.dataTransfer.files[0]);
  };

  return (
    <div className="grid max-w-4xl gap-8">
      <section aria-labelledby="bring">
        <h1 id="bring" className="pb-3 text-xl font-bold">
          Import a logger’s file
        </h1>
        <div
          onDragOver={(e) => {
            e.preventDefault();
            setOver(true);
          }}
          onDragLeave={() => setOver(false)}
          onDrop={drop}
          className={`grid justify-items-start gap-3 border border-dashed p-6 ${over ? 'border-accent bg-dark' : 'border-ink/40'}`}
        >
          <p className="text-lg">
            Drop the file here. CSV from any logger, columns in any order, or SenML JSON, up to 250
            MB.
          </p>
          <FileButton label="Logger file" look="main" disabled={upload.isPending} take={take}>
            {upload.isPending ? 'Sending…' : 'Choose a file'}
          </FileButton>
          <p className="text-soft">Nothing is added before you have checked the preview.</p>
        </div>
        {(tooLarge || upload.error) && (
          <p role="alert" className="pt-3 text-lg font-semibold">
            ✕ {tooLarge ?? upload.error?.message}
          </p>
        )}
      </section>
      <Earlier />
      <section aria-labelledby="out" className="border-t pt-4">
        <h2 id="out" className="pb-1 text-xl font-bold">
          Export the log
        </h2>
        <p className="pb-2 text-soft">
          All readings of this tank, its room and outdoor air. You can import these files again
          without loss.
        </p>
        <a
          className={`${buttonLook('plain')} mr-3`}
          href={`/api/v1/tanks/${tank.id}/log.csv`}
          download
        >
          CSV
        </a>
        <a
          className={buttonLook('plain')}
          href={`/api/v1/tanks/${tank.id}/log.senml.json`}
          download
        >
          SenML JSON
        </a>
      </section>
    </div>
  );
}

const STATE: Record<Import['state'], string> = {
  WAITING: 'waits for your answers',
  RUNNING: 'is being imported',
  DONE: 'is in the log',
  STOPPED: 'was stopped',
  FAILED: 'failed',
};

function Earlier() {
  const { tank } = useAtTank();
  const imports = useImports(tank.id).data ?? [];
  const undo = useUndoImport(tank.id);
  const tell = useNotice();
  if (imports.length === 0) return null;
  return (
    <section aria-labelledby="earlier" className="border-t pt-4">
      <h2 id="earlier" className="pb-1 text-xl font-bold">
        Imported files
      </h2>
      <ul>
        {imports.map((file) => (
          <li
            key={file.id}
            className="flex flex-wrap items-center justify-between gap-x-6 border-b py-1"
          >
            <span>
              <Link
                to="/tank/$tankId/bring"
                params={{ tankId: tank.id }}
                search={{ file: file.id }}
                className="font-semibold underline underline-offset-4"
              >
                {file.name}
              </Link>{' '}
              {STATE[file.state]}
              {file.state !== 'WAITING' && `, ${file.saved.toLocaleString('en')} readings`}
              <span className="text-soft"> · {dayAndTime(file.createdAt, tank.zone)}</span>
            </span>
            {file.state !== 'RUNNING' && (
              <Button
                look="quiet"
                disabled={undo.isPending}
                onClick={() =>
                  undo.mutate(file.id, {
                    onSuccess: () => tell(`${file.name} removed from the log.`),
                  })
                }
              >
                {file.state === 'WAITING' ? 'Discard' : 'Remove from the log'}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {undo.error && (
        <p role="alert" className="pt-2 font-semibold">
          ✕ {undo.error.message}
        </p>
      )}
    </section>
  );
}
