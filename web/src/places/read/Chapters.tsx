import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { useJoinChapter, useMendChapter } from '../../api/homes';
import type { Chapter } from '../../api/types';
import { PARTS } from '../../lib/tankParts';
import { dayAndTime, localInput } from '../../lib/time';
import { Button, buttonLook } from '../../parts/Button';
import { When } from '../../parts/When';
import { useNotice } from '../../parts/Notices';
import { Sheet } from '../../parts/Sheet';
import { useAtTank } from '../../TankContext';

/** The tank as it was described, by date. Nothing while it always was as it is. */
export function Chapters({ chapters }: { chapters: readonly Chapter[] }) {
  const { tank } = useAtTank();
  const [mended, setMended] = useState<Chapter | null>(null);
  if (chapters.length < 2) return null;
  const next = mended && chapters[chapters.indexOf(mended) + 1];
  return (
    <section aria-labelledby="chapters" className="border-t pt-3">
      <h2 id="chapters" className="pb-1 text-xl font-bold">
        Chapters
        <span className="font-normal text-soft"> · how the tank was set up, and when</span>
      </h2>
      <ol>
        {chapters.map((c) => (
          <li key={c.id ?? 'now'} className="flex flex-wrap items-baseline gap-x-3 border-b py-1.5">
            <span className="font-semibold">
              {c.from ? `since ${dayAndTime(c.from, tank.zone)}` : 'from the beginning'}
            </span>
            <span>
              {c.changed.length > 0
                ? `changed: ${c.changed.map((part) => PARTS[part]).join(', ')}`
                : 'first description'}
            </span>
            {c.until && (
              <Link
                to="/tank/$tankId/twin"
                params={{ tankId: tank.id }}
                search={{ day: dayBefore(c.until, tank.zone) }}
                className={`${buttonLook('quiet')} md:min-h-6!`}
              >
                Model at its end
              </Link>
            )}
            {c.id && (
              <>
                <Link
                  to="/tank/$tankId/chapters/$chapterId"
                  params={{ tankId: tank.id, chapterId: c.id }}
                  className={`${buttonLook('quiet')} md:min-h-6!`}
                >
                  Correct description
                </Link>
                <Button look="quiet" className="md:min-h-6!" onClick={() => setMended(c)}>
                  Correct end date
                </Button>
              </>
            )}
            {!c.id && (
              <Link
                to="/tank/$tankId/description"
                params={{ tankId: tank.id }}
                className={`${buttonLook('quiet')} md:min-h-6!`}
              >
                Edit description
              </Link>
            )}
          </li>
        ))}
      </ol>
      {mended && next && <MendSheet chapter={mended} close={() => setMended(null)} />}
    </section>
  );
}

function dayBefore(until: string, zone: string): string {
  return localInput(new Date(Date.parse(until) - 86_400_000), zone).slice(0, 10);
}

function MendSheet({ chapter, close }: { chapter: Chapter; close: () => void }) {
  const { tank } = useAtTank();
  const mend = useMendChapter(tank.id);
  const join = useJoinChapter(tank.id);
  const tell = useNotice();
  const [until, setUntil] = useState(
    chapter.until ? localInput(new Date(chapter.until), tank.zone) : '',
  );
  const id = chapter.id;
  if (!id) return null;
  return (
    <Sheet
      open
      onOpenChange={close}
      title="When did this chapter end?"
      about="The days on both sides are computed again."
    >
      <div className="grid gap-4">
        <When
          label="End of this chapter"
          kind="moment"
          value={until}
          onChange={(e) => setUntil(e.target.value)}
          error={mend.error?.at('until') ?? mend.error?.message}
        />
        <div className="flex flex-wrap gap-3">
          <Button
            look="main"
            disabled={mend.isPending || until === ''}
            onClick={() =>
              mend.mutate(
                { id, version: chapter.version, until },
                {
                  onSuccess: () => {
                    tell('Chapter corrected.');
                    close();
                  },
                },
              )
            }
          >
            Save
          </Button>
          <Button
            disabled={join.isPending}
            onClick={() =>
              join.mutate(id, {
                onSuccess: () => {
                  tell('Chapters merged, described like the later one.');
                  close();
                },
                onError: (problem) => tell(problem.message),
              })
            }
          >
            Merge these two chapters
          </Button>
        </div>
      </div>
    </Sheet>
  );
}
