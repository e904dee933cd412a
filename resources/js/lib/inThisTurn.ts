import { notifyManager } from '@tanstack/react-query';

let hurried = false;
notifyManager.setScheduler((tell) => {
  if (hurried) queueMicrotask(tell);
  else setTimeout(tell, 0);
});

/** Answers that are put by in here are drawn before anything else happens; usually that is left to a later turn. */
export function inThisTurn(put: () => void): void {
  hurried = true;
  try {
    put();
  } finally {
    hurried = false;
  }
}
