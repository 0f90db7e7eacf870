export { chosenNote } from './chosen-note';
export { notesTool } from './notes-tool';
