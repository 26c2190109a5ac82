import { Button } from './Button';

/** One screen that failed leaves the others alone: what went wrong, and the way on. */
export function BrokenScreen({ error, reset }: { error: unknown; reset: () => void }) {
  return (
    <section role="alert" className="grid max-w-2xl gap-3 p-6">
      <h1 className="text-xl font-bold">This screen could not be shown.</h1>
      <p>
        What you entered and logged is safe; the other screens work. Try it again, or reload the
        page: after an update an old page can miss parts of the new one.
      </p>
      <p className="text-soft">
        In its own words: {error instanceof Error ? error.message : 'none.'}
      </p>
      <div className="flex gap-2">
        <Button look="main" onClick={reset}>
          Try again
        </Button>
        <Button look="quiet" onClick={() => window.location.reload()}>
          Reload the page
        </Button>
      </div>
    </section>
  );
}
