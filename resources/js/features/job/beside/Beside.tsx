import { useBench } from '../useBench';
import { EngagementPanel } from './EngagementPanel';
import { MatchPanel } from './MatchPanel';
import { MeasuresPanel } from './MeasuresPanel';
import { PackPanel } from './PackPanel';
import { PullPanel } from './PullPanel';
import { TablePanel } from './TablePanel';
import { WindowPanel } from './WindowPanel';

/** What this control does and is measured by beside its play, each drawn as the thing itself. */
export const Beside = ({ measured }: { measured: boolean }) => {
  const { beside } = useBench().state;
  const { table, window, engagement } = beside;
  return (
    <>
      {table !== null && <TablePanel table={table} />}
      {window !== null && <WindowPanel window={window} />}
      {engagement !== null && <EngagementPanel engagement={engagement} />}
      {(measured || table === null) && <MeasuresPanel />}
      <PullPanel />
      <MatchPanel />
    </>
  );
};

/** The pack, once its cover is off or something of it was measured. */
export const PackWhenOpen = () => {
  const { state } = useBench();
  const { pack } = state.beside;
  const open = state.adjusters.some((one) => one.cover_off && one.sets === 'mechanism');
  return pack === null || (!open && pack.items.length === 0) ? null : <PackPanel pack={pack} />;
};
