import { useState } from 'react';
import { useRemove, useUndoRemove, type Removable } from '../../api/homes';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { Sheet } from '../../parts/Sheet';

const KIND: Record<Removable, { word: string; with: string }> = {
  tanks: { word: 'tank', with: 'This also removes its log, dosing, schedule and upkeep.' },
  rooms: { word: 'room', with: 'This also removes its tanks and their logs.' },
  homes: { word: 'home', with: 'This also removes its rooms, tanks, logs, outages and kit.' },
};

/** Removes a tank, a room or a home once its keeper has read what goes with it. */
export function RemoveButton({
  what,
  id,
  name,
  then,
}: {
  what: Removable;
  id: string;
  name: string;
  then?: () => void;
}) {
  const [asking, setAsking] = useState(false);
  const remove = useRemove();
  const undo = useUndoRemove();
  const tell = useNotice();
  const go = () =>
    remove.mutate(
      { what, id },
      {
        onSuccess: () => {
          tell(`${name} removed.`, () => undo.mutate(id));
          setAsking(false);
          then?.();
        },
      },
    );
  return (
    <>
      <Button look="quiet" onClick={() => setAsking(true)}>
        Remove {name}
      </Button>
      <Sheet
        open={asking}
        onOpenChange={setAsking}
        title={`Remove the ${KIND[what].word} ${name}?`}
        about={`${KIND[what].with} You can undo this in Settings for one day. After that everything is deleted.`}
      >
        <div className="flex flex-wrap gap-3">
          <Button look="main" disabled={remove.isPending} onClick={go}>
            Remove
          </Button>
          <Button onClick={() => setAsking(false)}>Keep</Button>
        </div>
        <Refusal message={remove.error?.message} className="pt-3" />
      </Sheet>
    </>
  );
}
