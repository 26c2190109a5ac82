import { Button } from '../../parts/Button';
import { Sheet } from '../../parts/Sheet';
import type { TankForm } from './tankForm';

/** Two versions of one description side by side, What differs. */
export function VersionSheet({
  theirs,
  mine,
  keepMine,
  takeTheirs,
  close,
}: {
  theirs: TankForm;
  mine: TankForm;
  keepMine: () => void;
  takeTheirs: () => void;
  close: () => void;
}) {
  const there = flat(theirs);
  const here = flat(mine);
  const different = [...new Set([...there.keys(), ...here.keys()])].filter(
    (k) => there.get(k) !== here.get(k),
  );
  return (
    <Sheet
      open
      onOpenChange={close}
      title="Changed elsewhere"
      about="Another person or tab saved this description after you opened it. Your changes are not saved yet."
    >
      <table className="w-full text-left">
        <thead className="text-sm text-soft">
          <tr>
            <th className="py-1 font-normal">What differs</th>
            <th className="font-normal">Saved</th>
            <th className="font-normal">Yours</th>
          </tr>
        </thead>
        <tbody>
          {different.map((key) => (
            <tr key={key} className="border-t">
              <td className="py-2 pr-4">{key}</td>
              <td className="pr-4">{there.get(key) ?? '—'}</td>
              <td className="font-bold">{here.get(key) ?? '—'}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="flex flex-wrap gap-3 pt-5">
        <Button look="main" onClick={keepMine}>
          Save mine
        </Button>
        <Button onClick={takeTheirs}>Keep the saved one</Button>
      </div>
    </Sheet>
  );
}

/** A form's values by the words of their paths. */
function flat(value: unknown, path = ''): Map<string, string> {
  if (typeof value !== 'object' || value === null) return new Map([[path, String(value)]]);
  return new Map(
    Object.entries(value).flatMap(([key, inner]) => {
      const words = key.replace(/([A-Z])/g, ' $1').toLowerCase();
      return [...flat(inner, path ? `${path}, ${words}` : words)];
    }),
  );
}
