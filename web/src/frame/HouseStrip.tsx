import type { Tank } from '../api/types';
import { PowerOut } from './PowerOut';

/** On top of the page of all tanks. */
export function HouseStrip({ tank }: { tank: Tank | undefined }) {
  return (
    <header className="flex min-h-16 items-center gap-6 border-b px-4 py-2 md:px-6">
      <p className="text-xl font-bold">Your tanks</p>
      {tank && <PowerOut tank={tank} />}
    </header>
  );
}
