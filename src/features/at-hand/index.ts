export { StashProvider, useStash } from './use-stash';
export { RoomProvider, useRoomNow } from './room';
export { LabelFields } from './label-fields';
export { RoomReading, RoomState } from './room-reading';
