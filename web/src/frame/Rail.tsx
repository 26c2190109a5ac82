import { Link } from '@tanstack/react-router';
import { PLACES, ROUTE } from './places';

/** The places: at the left, on phones at the bottom. */
export function Rail({ tankId }: { tankId: string | undefined }) {
  return (
    <nav
      aria-label="Places"
      className="fixed inset-x-0 bottom-0 z-10 flex border-t bg-paper md:inset-y-0 md:right-auto md:w-32 md:flex-col md:border-t-0 md:border-r md:pt-4"
    >
      <p className="hidden pb-6 pl-5 text-lg leading-5 font-bold md:block">
        Jolly
        <br />
        Tide
      </p>
      {tankId &&
        PLACES.map((place, i) =>
          place.screens.map((screen) => (
            <Link
              key={screen.path}
              to={ROUTE[screen.path]}
              params={{ tankId }}
              className="flex min-h-14 flex-1 flex-col items-center justify-center border-t-4 border-transparent px-2 text-soft hover:text-ink md:flex-none md:items-start md:border-t-0 md:border-l-4 md:py-2 md:pl-4 [&.active]:border-accent [&.active]:text-ink"
            >
              <span className="flex items-baseline gap-2.5 text-lg font-semibold">
                <span className="hidden text-sm font-normal md:inline">{i + 1}</span>
                {place.name}
              </span>
              <span className="text-sm md:pl-5">{screen.name}</span>
            </Link>
          )),
        )}
      <Link
        to="/settings"
        className="flex min-h-14 flex-1 flex-col items-center justify-center border-t-4 border-transparent px-2 text-soft hover:text-ink md:mt-auto md:mb-3 md:flex-none md:items-start md:border-t-0 md:border-l-4 md:pl-4 [&.active]:border-accent [&.active]:text-ink"
      >
        <span className="md:pl-5">Settings</span>
      </Link>
    </nav>
  );
}
