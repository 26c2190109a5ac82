import type { Lane, LaneRule, LaneWindow, Schedule } from '../../../api/types';
import { LaneForm } from './LaneForm';
import { RuleForm } from './RuleForm';
import { WindowForm } from './WindowForm';

/** What is being changed; a new one where it is not given. */
export type Open =
  | { what: 'window'; window?: LaneWindow }
  | { what: 'lane'; lane?: Lane }
  | { what: 'rule'; lane: Lane; rule?: LaneRule };

/** The sheet on which a window, a lane or a rule is changed. */
export function Editing({
  open,
  schedule,
  change,
  close,
}: {
  open?: Open;
  schedule: Schedule;
  change: (schedule: Schedule) => void;
  close: () => void;
}) {
  const rest = { schedule, change, close };
  switch (open?.what) {
    case undefined:
      return null;
    case 'window':
      return <WindowForm window={open.window} {...rest} />;
    case 'lane':
      return <LaneForm lane={open.lane} {...rest} />;
    case 'rule':
      return <RuleForm lane={open.lane} rule={open.rule} {...rest} />;
  }
}
