import type { RunsOfSchedule } from '../../../api/types';
import { useAddChore, useEditChore, useUpkeep } from '../../../api/upkeep';
import { Button } from '../../../parts/Button';
import { useNotice } from '../../../parts/Notices';
import { Refusal } from '../../../parts/Refusal';
import { useAtTank } from '../../../TankContext';

/** Upkeep that comes with it: onto the list by one press. */
export function Brought({ brought }: { brought: RunsOfSchedule['brings'][number] }) {
  const { tank } = useAtTank();
  const tell = useNotice();
  const upkeep = useUpkeep(tank.id);
  const add = useAddChore(tank.id);
  const edit = useEditChore(tank.id);
  const task = upkeep.data?.tasks.find((t) => t.kind.chore === brought.chore);
  const every = brought.everyDays === 1 ? 'every day' : `every ${brought.everyDays} days`;
  const take = () =>
    void (
      task
        ? edit.mutateAsync({ id: task.id, name: task.name, days: brought.everyDays })
        : add.mutateAsync({ chore: brought.chore, name: '', days: brought.everyDays })
    )
      .then(() => tell(`Upkeep has it ${every}.`))
      .catch(() => undefined);
  return (
    <p className="flex flex-wrap items-center gap-x-3">
      <span>
        This adds upkeep: {brought.what}, {every}.
      </span>
      <Button
        look="quiet"
        onClick={take}
        disabled={!upkeep.data || add.isPending || edit.isPending}
      >
        {task ? `Change to ${every} in Upkeep` : 'Add the task'}
      </Button>
      <Refusal message={add.error?.message ?? edit.error?.message} />
    </p>
  );
}
