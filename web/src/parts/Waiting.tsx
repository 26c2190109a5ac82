import { Problem } from '../api/client';

/** Stands in while something is read, and says so when it cannot be. */
export function Waiting({ error, retry }: { error: Error | null; retry?: () => void }) {
  if (!error) {
    return (
      <p className="p-6 text-soft" role="status">
        Reading…
      </p>
    );
  }
  const missing = error instanceof Problem && error.status === 404;
  return (
    <div className="p-6" role="alert">
      <p className="text-lg font-semibold">
        {missing ? 'There is nothing at this address.' : 'That didn’t work.'}
      </p>
      <p className="pt-1 text-soft">{error.message}</p>
      {retry && !missing && (
        <button
          type="button"
          onClick={retry}
          className="mt-3 min-h-11 underline underline-offset-4"
        >
          Try again
        </button>
      )}
    </div>
  );
}
