import { deviceClock } from '../lib/deviceClock';
import { useKept } from '../lib/store';
import { Strip } from './Strip';

/** Entries keep the time that their device shows: it is said on every screen that it shows a wrong one. */
export const WrongClock = () => {
  const off = useKept(deviceClock);
  return off === null ? null : (
    <Strip mark="found" ground="amber.wash" about="clock">
      <HowItRuns off={off} />
    </Strip>
  );
};

export const HowItRuns = ({ off }: { off: string }) => (
  <>
    <b>{off}</b> Entries keep the time it shows: set whichever is wrong.
  </>
);
