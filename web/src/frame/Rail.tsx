import { Link, useRouterState } from '@tanstack/react-router';
import { useEffect, useRef } from 'react';
import { opensAt, useRemember } from './lastScreen';
import { placeAt, placesOf, ROUTE } from './places';
import { useHelper } from './useHelper';

/** The places at the left of wide windows; the open one unfolds its screens. */
export function Rail({ tankId }: { tankId: string | undefined }) {
  const helper = useHelper();
  const places = placesOf(helper);
  const { place: here, screen } = useHere();
  useRemember(here, screen?.path);
  const placeLook =
    'flex min-h-11 items-center gap-2.5 pl-5 text-lg font-semibold hover:text-accent';
  const screenLook =
    'flex min-h-9 items-center border-l-4 border-transparent pl-9 text-soft hover:text-ink [&.active]:border-accent [&.active]:text-ink';
  return (
    <nav
      aria-label="Places"
      className="fixed inset-y-0 left-0 z-10 hidden w-36 flex-col border-r bg-paper pt-4 md:flex"
    >
      <p className="pb-4 pl-5 text-lg leading-5 font-bold">
        Jolly
        <br />
        Tide
      </p>
      <div className="min-h-0 flex-1 overflow-y-auto">
        {!helper && (
          <Link to="/house" className={`${placeLook} [&.active]:text-accent`}>
            House
          </Link>
        )}
        {tankId &&
          places.map((place, i) => (
            <div key={place.name} className="pb-1">
              <Link to={opensAt(place)} params={{ tankId }} activeProps={{}} className={placeLook}>
                <span aria-hidden className="text-sm font-normal text-soft">
                  {i + 1}
                </span>
                {place.name}
              </Link>
              {place === here &&
                place.screens.map((s) => (
                  <Link key={s.path} to={ROUTE[s.path]} params={{ tankId }} className={screenLook}>
                    {s.name}
                  </Link>
                ))}
            </div>
          ))}
      </div>
      <Link to="/settings" className={`${screenLook} mb-3 shrink-0`}>
        Settings
      </Link>
    </nav>
  );
}

/** The place that is open, and which of its screens. */
const useHere = () => {
  const path = useRouterState({ select: (s) => s.location.pathname });
  return placeAt(path, placesOf(useHelper()));
};

/** On phones the places stand under the thumb. */
export function ThumbRail({ tankId }: { tankId: string | undefined }) {
  const { place: here, screen } = useHere();
  useRemember(here, screen?.path);
  const helper = useHelper();
  const places = placesOf(helper);
  const look =
    'flex min-h-14 flex-1 items-center justify-center border-t-4 border-transparent text-[0.8rem] text-soft aria-[current]:border-accent aria-[current]:text-ink';
  return (
    <nav
      aria-label="Places"
      className="fixed inset-x-0 bottom-0 z-10 flex border-t bg-paper md:hidden"
    >
      {!helper && (
        <Link to="/house" className={look} activeProps={{ 'aria-current': 'page' }}>
          House
        </Link>
      )}
      {tankId &&
        places.map((place) => (
          <Link
            key={place.name}
            to={opensAt(place)}
            params={{ tankId }}
            activeProps={{}}
            aria-current={place === here ? 'page' : undefined}
            className={look}
          >
            {place.name}
          </Link>
        ))}
      {(helper || !tankId) && (
        <Link to="/settings" className={look} activeProps={{ 'aria-current': 'page' }}>
          Settings
        </Link>
      )}
    </nav>
  );
}

/** On phones the screens of the present place, above the page. */
export function ScreenRow({ tankId }: { tankId: string }) {
  const { place: here, screen: open } = useHere();
  const row = useRef<HTMLElement>(null);
  useEffect(() => {
    const link = row.current?.querySelector<HTMLElement>('.active');
    if (!row.current || !link) return;
    row.current.scrollLeft = link.offsetLeft - (row.current.clientWidth - link.offsetWidth) / 2;
  }, [open?.path]);
  if (!here || here.screens.length < 2) return null;
  return (
    <nav
      ref={row}
      aria-label={here.name}
      className="flex gap-1 overflow-x-auto border-b px-2 md:hidden"
    >
      {here.screens.map((screen) => (
        <Link
          key={screen.path}
          to={ROUTE[screen.path]}
          params={{ tankId }}
          className="flex min-h-11 items-center border-b-4 border-transparent px-3 whitespace-nowrap text-soft [&.active]:border-accent [&.active]:text-ink"
        >
          {screen.name}
        </Link>
      ))}
    </nav>
  );
}
