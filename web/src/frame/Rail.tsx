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
        PLACES.map((place, i) => (
          <div
            key={place.name}
            className="flex flex-1 flex-col items-center justify-center md:flex-none md:items-stretch md:pb-2"
          >
            <p className="hidden items-baseline gap-2.5 pt-2 pl-5 text-lg font-semibold md:flex">
              <span className="text-sm font-normal text-soft">{i + 1}</span>
              {place.name}
            </p>
            <div className="flex w-full md:block">
              {place.screens.map((screen) => (
                <Link
                  key={screen.path}
                  to={ROUTE[screen.path]}
                  params={{ tankId }}
                  className="flex min-h-14 flex-1 items-center justify-center border-t-4 border-transparent px-1 text-soft hover:text-ink md:min-h-9 md:justify-start md:border-t-0 md:border-l-4 md:pl-9 [&.active]:border-accent [&.active]:text-ink"
                >
                  {screen.name}
                </Link>
              ))}
            </div>
          </div>
        ))}
      <Link
        to="/settings"
        className="flex min-h-14 flex-1 flex-col items-center justify-center border-t-4 border-transparent px-2 text-soft hover:text-ink md:mt-auto md:mb-3 md:flex-none md:items-start md:border-t-0 md:border-l-4 md:pl-4 [&.active]:border-accent [&.active]:text-ink"
      >
        <span className="md:pl-5">Settings</span>
      </Link>
    </nav>
  );
}
