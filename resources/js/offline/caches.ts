/** Names of the worker's caches, by which the page puts things into them too. */

/** Answers of the server, for a reload without network. */
export const ANSWERS = 'answers';

/** The page's own files. */
export const FILES = 'files';
