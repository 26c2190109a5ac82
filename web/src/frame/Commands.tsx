import { useNavigate } from '@tanstack/react-router';
import { useEffect, useState } from 'react';
import { useTanks } from '../api/homes';
import { Sheet } from '../parts/Sheet';
import { opensAt } from './lastScreen';
import { placesOf, ROUTE } from './places';
import { toggleTheme } from './theme';
import { useHelper } from './useHelper';

interface Command {
  label: string;
  run: () => void;
}

const SHORTCUTS = [
  ['/', 'Find a screen or a tank'],
  ['← →', 'Today: previous and next day. History: earlier and later'],
  ['+ −', 'History: zoom in and out'],
  ['e', 'Add an event'],
  ['n', 'Dark theme on or off'],
  ['Ctrl Enter', 'Save your entries'],
  ['?', 'Show this list'],
] as const;

/** Where keys belong to what has the focus: fields, lists and the parts of a day or a time. */
const TYPED =
  'input, textarea, [contenteditable=true], [role=spinbutton], [role=combobox], [role=listbox], [role=radiogroup], [role=slider], [role=menu], [role=dialog]';

/** Whether keys belong to what is being typed or chosen. */
export const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.closest(TYPED) !== null;

/** Keys for the whole application, the command field and the list of shortcuts. */
export function Commands({ tankId }: { tankId: string | undefined }) {
  const [open, setOpen] = useState<'find' | 'keys' | null>(null);
  const navigate = useNavigate();
  const places = placesOf(useHelper());

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (typing(e.target) || e.ctrlKey || e.metaKey || e.altKey) return;
      const place = places[Number(e.key) - 1];
      if (e.key === '/') setOpen('find');
      else if (e.key === '?') setOpen('keys');
      else if (e.key === 'n') toggleTheme();
      else if (place && tankId) void navigate({ to: opensAt(place), params: { tankId } });
      else return;
      e.preventDefault();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [navigate, places, tankId]);

  const close = () => setOpen(null);
  return (
    <>
      <Sheet
        open={open === 'find'}
        onOpenChange={close}
        title="Go to"
        about="Type the name of a screen or tank."
      >
        <Finder tankId={tankId} done={close} />
      </Sheet>
      <Sheet
        open={open === 'keys'}
        onOpenChange={close}
        title="Shortcuts"
        about="Shortcuts are off while you type in a field."
      >
        <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
          <div className="contents">
            <dt className="font-bold">1 … {places.length}</dt>
            <dd>{places.map((place) => place.name).join(', ')}</dd>
          </div>
          {SHORTCUTS.map(([keys, what]) => (
            <div key={keys} className="contents">
              <dt className="font-bold">{keys}</dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
      </Sheet>
    </>
  );
}

function Finder({ tankId, done }: { tankId: string | undefined; done: () => void }) {
  const navigate = useNavigate();
  const tanks = useTanks().data ?? [];
  const helper = useHelper();
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState(0);
  const current = tankId ?? tanks[0]?.id;
  const commands: Command[] = [
    ...(current
      ? placesOf(helper).flatMap((place) =>
          place.screens.map((s) => ({
            label: `${place.name}: ${s.name}`,
            run: () => void navigate({ to: ROUTE[s.path], params: { tankId: current } }),
          })),
        )
      : []),
    ...tanks.flatMap((t) => [
      {
        label: `${t.description.name}: staircase`,
        run: () => void navigate({ to: '/tank/$tankId/staircase', params: { tankId: t.id } }),
      },
      ...(helper
        ? []
        : [
            {
              label: `${t.description.name}: description`,
              run: () =>
                void navigate({ to: '/tank/$tankId/description', params: { tankId: t.id } }),
            },
          ]),
    ]),
    ...(current && !helper
      ? [
          {
            label: 'Import a file',
            run: () => void navigate({ to: '/tank/$tankId/bring', params: { tankId: current } }),
          },
        ]
      : []),
    ...(helper ? [] : [{ label: 'Add a tank', run: () => void navigate({ to: '/begin' }) }]),
    { label: 'Settings', run: () => void navigate({ to: '/settings' }) },
    { label: 'Dark theme on or off', run: toggleTheme },
  ];
  const found = commands.filter((c) => c.label.toLowerCase().includes(text.trim().toLowerCase()));
  const run = (command: Command | undefined) => {
    command?.run();
    if (command) done();
  };
  return (
    <div>
      <input
        aria-label="Screen or tank"
        autoFocus
        className="min-h-11 w-full rounded-sm border border-ink/40 bg-paper px-3 text-lg"
        value={text}
        onChange={(e) => {
          setText(e.target.value);
          setChosen(0);
        }}
        onKeyDown={(e) => {
          if (e.key === 'Enter') run(found[chosen]);
          else if (e.key === 'ArrowDown') setChosen(Math.min(found.length - 1, chosen + 1));
          else if (e.key === 'ArrowUp') setChosen(Math.max(0, chosen - 1));
          else return;
          e.preventDefault();
        }}
      />
      <ul className="pt-3">
        {found.map((c, i) => (
          <li key={c.label}>
            <button
              type="button"
              onClick={() => run(c)}
              aria-current={i === chosen || undefined}
              className="min-h-11 w-full px-3 text-left aria-[current]:bg-dark"
            >
              {c.label}
            </button>
          </li>
        ))}
        {found.length === 0 && (
          <li className="px-3 py-2 text-soft">No screen or tank has that name.</li>
        )}
      </ul>
    </div>
  );
}
