import { Button } from './Button';

/** One screen that failed leaves the others alone: what went wrong, and the way on. */
export function BrokenScreen({ error, reset }: { error: unknown; reset: () => void }) {
  return (
    <section role="alert" className="grid max-w-2xl gap-3 p-6">
      <h1 className="text-xl font-bold">We can’t show this screen.</h1>
      <p>
        Your entries are safe and the other screens work. Try again, or reload the page. After an
        update an old page can miss parts.
      </p>
      <p className="text-soft">Error message: {error instanceof Error ? error.message : 'none.'}</p>
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
