import { useStopImport } from '../../../api/imports';
import type { Import } from '../../../api/types';
import { Button } from '../../../parts/Button';
import { useAtTank } from '../../../TankContext';

/** A file on its way in. */
export function Progress({ file }: { file: Import }) {
  const { tank } = useAtTank();
  const stop = useStopImport(tank.id, file.id);
  return (
    <section aria-labelledby="running" className="grid max-w-3xl gap-3">
      <h1 id="running" className="text-xl font-bold">
        {file.name} is being imported
      </h1>
      <progress
        aria-label="Progress"
        className="h-3 w-full accent-accent"
        value={file.bytesRead}
        max={file.bytes}
      />
      <p className="text-lg">
        {file.linesRead.toLocaleString('en')} lines, {file.saved.toLocaleString('en')} new readings
        so far. You can leave this page. The import continues.
      </p>
      {file.reason && (
        <p role="status" className="border-l-4 border-accent pl-3">
          {file.reason}
        </p>
      )}
      <Button
        className="justify-self-start"
        onClick={() => stop.mutate(undefined)}
        disabled={stop.isPending}
      >
        Stop
      </Button>
    </section>
  );
}
