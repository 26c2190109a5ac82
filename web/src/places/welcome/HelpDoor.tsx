import { useNavigate } from '@tanstack/react-router';
import { useEffect, useRef } from 'react';
import { useEnterToHelp } from '../../api/helpers';

/** Where a helper's link leads. Its code stands behind the #, so that no server's log ever holds it. */
export function HelpDoor() {
  const enter = useEnterToHelp();
  const navigate = useNavigate();
  const asked = useRef(false);
  const { mutate } = enter;
  useEffect(() => {
    if (asked.current) return;
    asked.current = true;
    mutate(window.location.hash.slice(1), {
      onSuccess: () => void navigate({ to: '/', replace: true }),
    });
  }, [mutate, navigate]);
  return (
    <main className="mx-auto grid min-h-dvh max-w-prose content-center gap-4 px-5">
      <h1 className="text-4xl font-bold">Jolly Tide</h1>
      {enter.error ? (
        <p role="alert" className="text-lg font-semibold">
          ✕ {enter.error.message}
        </p>
      ) : (
        <p className="text-lg">Signing you in…</p>
      )}
    </main>
  );
}
