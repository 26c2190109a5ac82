import { getRouteApi, useNavigate } from '@tanstack/react-router';
import { useChapters, useMendChapter } from '../../api/homes';
import type { Chapter } from '../../api/types';
import { dayAndTime } from '../../lib/time';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { TankFields } from './TankFields';
import { toDescription, toForm } from './tankForm';
import { useTankForm } from './useTankForm';

const route = getRouteApi('/signed-in/tank/$tankId/chapters/$chapterId');

/** The tank as it was in an earlier chapter, to mend. */
export function EarlierDescription() {
  const { tank } = useAtTank();
  const { chapterId } = route.useParams();
  const chapters = useChapters(tank.id, true);
  const chapter = chapters.data?.find((c) => c.id === chapterId);
  if (!chapters.data)
    return <Waiting error={chapters.error} retry={() => void chapters.refetch()} />;
  return chapter ? (
    <Mend key={`${chapterId} ${chapter.version}`} id={chapterId} chapter={chapter} />
  ) : (
    <p>This chapter was merged with its neighbour. History lists the chapters that remain.</p>
  );
}

function Mend({ id, chapter }: { id: string; chapter: Chapter }) {
  const { tank, units } = useAtTank();
  const mend = useMendChapter(tank.id);
  const navigate = useNavigate();
  const tell = useNotice();
  const { form, refuse, sent, refusal } = useTankForm(
    toForm(chapter.description, units),
    `chapter-${id}`,
  );
  const save = form.handleSubmit((values) =>
    mend
      .mutateAsync({ id, version: chapter.version, description: toDescription(values, units) })
      .then((saved) => {
        sent();
        const now = saved.find((c) => c.id === id);
        if (now)
          tell('Chapter corrected. Its days are being computed again.', () =>
            mend.mutate({ id, version: now.version, description: chapter.description }),
          );
        else tell('This chapter now equals its neighbour. The two are merged.');
        return navigate({ to: '/tank/$tankId/history', params: { tankId: tank.id } });
      })
      .catch(refuse),
  );
  const from = chapter.from ? `from ${dayAndTime(chapter.from, tank.zone)}` : 'from the beginning';
  const until = chapter.until ? ` to ${dayAndTime(chapter.until, tank.zone)}` : '';
  return (
    <form noValidate className="grid max-w-4xl gap-8" onSubmit={(e) => void save(e)}>
      <div>
        <h1 className="text-2xl font-bold">
          {tank.description.name} as it was{' '}
          <span className="font-normal text-soft">
            · {from}
            {until}
          </span>
        </h1>
        <p className="max-w-prose text-soft">
          Correct what was wrong about those days. Chapters before and after stay unchanged.
        </p>
      </div>
      <TankFields form={form} units={units} />
      <Refusal message={refusal} />
      <div className="sticky bottom-14 flex gap-3 border-t bg-paper py-3 md:bottom-0">
        <Button look="main" type="submit" className="px-10" disabled={mend.isPending}>
          Save
        </Button>
        <Button
          onClick={() =>
            void navigate({ to: '/tank/$tankId/history', params: { tankId: tank.id } })
          }
        >
          Cancel
        </Button>
      </div>
    </form>
  );
}
