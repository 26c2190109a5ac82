import { useEditRoom, useHomes } from '../../api/homes';
import type { AbsenceView } from '../../api/types';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { useHelper } from '../../frame/useHelper';
import { useAtTank } from '../../TankContext';
import { plain } from '../../lib/number';
import { clearedAt } from './absenceWords';

/** What an absence measured of the room, put into its description by one press. */
export function ClearedRoom({ absence }: { absence: AbsenceView }) {
  const { tank } = useAtTank();
  const homes = useHomes();
  const edit = useEditRoom(tank.roomId);
  const tell = useNotice();
  const helper = useHelper();
  const room = homes.data?.flatMap((h) => h.rooms).find((r) => r.id === tank.roomId);
  const measured = clearedAt(absence);
  if (!room || helper || measured === undefined) return null;
  const known = room.description.airChangesPerH;
  if (known === measured) return <p className="text-soft">The model uses that.</p>;
  const take = () =>
    edit.mutate(
      { version: room.version, description: { ...room.description, airChangesPerH: measured } },
      {
        onSuccess: (saved) =>
          tell(`The room has ${plain(measured, 2)} air changes an hour now.`, () =>
            edit.mutate({ version: saved.version, description: room.description }),
          ),
      },
    );
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
      <Button onClick={take} disabled={edit.isPending}>
        Use {plain(measured, 2)} air changes an hour
      </Button>
      <span className="text-soft">
        {known === undefined ? 'so far it is assumed' : `so far described: ${plain(known, 2)}`}
      </span>
      <Refusal message={edit.error?.message} />
    </div>
  );
}
