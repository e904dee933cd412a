import { useState } from 'react';
import { Button } from '../../../components/Buttons';
import { useBench } from '../useBench';
import { Curves } from './Curves';
import { EngagementPanel } from './EngagementPanel';
import { MatchPanel } from './MatchPanel';
import { MeasuresPanel } from './MeasuresPanel';
import { PackPanel } from './PackPanel';
import { PullPanel } from './PullPanel';
import { TablePanel } from './TablePanel';
import { WindowPanel } from './WindowPanel';

/** What this control does and is measured by beside its play, each drawn as the thing itself. */
export const Beside = ({ measured }: { measured: boolean }) => {
  const { state } = useBench();
  const { table, window, engagement } = state.beside;
  return (
    <>
      {table !== null && <TablePanel table={table} />}
      {window !== null && <WindowPanel window={window} cable={state.pair === null ? null : state.first_label} />}
      {engagement !== null && <EngagementPanel engagement={engagement} />}
      {(measured || table === null) && <MeasuresPanel />}
      <PullPanel />
      <Curves />
      <MatchPanel />
    </>
  );
};

/** The pack: by itself once its cover is off or something of it was found, and wherever a person opens it. */
export const PackWhenOpen = () => {
  const { state } = useBench();
  const { pack } = state.beside;
  const [asked, setAsked] = useState(false);
  const open = state.adjusters.some((one) => one.cover_off && one.sets === 'mechanism');
  if (pack === null) return null;
  const found = pack.items.length > 0 || pack.findings.some((one) => one.finding !== null);
  if (open || found || asked) return <PackPanel pack={pack} />;
  return state.stage === 'make_safe' ? null : (
    <Button look="quiet" alignSelf="flex-start" onClick={() => setAsked(true)} data-open-pack>
      The pack is open: plates and springs
    </Button>
  );
};
