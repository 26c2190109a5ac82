import { Problem } from '../api/client';
import { Skeleton } from './Skeleton';

/** Stands in the shape of a page while it loads, and says so when it cannot. */
export function Waiting({ error, retry }: { error: Error | null; retry?: () => void }) {
  if (!error) {
    return (
      <div className="grid max-w-4xl gap-4 py-1" role="status">
        <span className="sr-only">Loading…</span>
        <Skeleton className="h-8 w-2/3 max-w-md" />
        <Skeleton className="h-64 w-full" />
        <Skeleton className="h-5 w-5/6" />
        <Skeleton className="h-5 w-1/2" />
      </div>
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
