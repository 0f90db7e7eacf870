/** All of notes that comes later, in one piece: what several pieces share would be in the first page. */
export { chosenNote } from './chosen-note';
export { default as NoteMarks } from './NoteMarks';
export { default as NoteTiles } from './NoteTiles';
export { default as NotesBar } from './NotesBar';
export { default as RoomLabel } from './RoomLabel';
export { default as WallHatch } from './WallHatch';
export { notesTool } from './notes-tool';
