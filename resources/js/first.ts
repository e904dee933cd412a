import { early, firstPath, wasHere } from './api/early';

/* Runs before the rest of the scripts is there. */
early.ask('session');
const path = wasHere() ? firstPath(window.location.pathname) : null;
if (path !== null) early.ask(path);
