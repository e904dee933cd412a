import { asOf } from '../lib/asOf';
import { useKept } from '../lib/store';
import { moment, nowWithOffset } from '../lib/time';
import { useConnection } from '../lib/useConnection';
import { Strip } from './Strip';

/** What stands on the screen is not asked of the server just now: a tag that was hung since does not show. */
export const NoConnection = () => {
  const { isCut, isOld } = useConnection();
  return !isCut && !isOld ? null : (
    <Strip mark="cant_tell" ground="violet.wash" about="no-connection">
      <b>{isCut ? 'No connection.' : 'The server answers late.'}</b> <HowItStood /> It may have changed.
    </Strip>
  );
};

/** Since when what stands there is known. */
export const HowItStood = () => {
  const at = useKept(asOf);
  return at === null ? null : <>This is how it stood {moment(nowWithOffset(new Date(at)))}.</>;
};
