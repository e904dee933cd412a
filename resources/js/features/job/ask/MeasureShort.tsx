import { Button } from '../../../components/Buttons';
import { useBench } from '../useBench';

/** Not wide open at full pull: how far it still has to go says how far to take up, or that no setting is the cure. */
export const MeasureShort = () => {
  const { state, picking, pick, mayWrite } = useBench();
  if (!state.beside.can_measure_short || !mayWrite) return null;
  const asked = picking?.key === 'short_of_open';
  return (
    <Button
      look={asked ? 'dark' : 'plain'}
      aria-pressed={asked}
      whiteSpace="normal"
      lineHeight="short"
      onClick={() => pick(asked ? null : { key: 'short_of_open', label: 'Still to go to wide open, at the wire' })}
      data-measure-short
    >
      {asked ? 'Hold it fully pulled, and type how far it still goes' : 'Measure how far it still has to go'}
    </Button>
  );
};
