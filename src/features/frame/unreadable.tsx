'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import dynamic from 'next/dynamic';
import { SINGLE_KINDS, database, unreadableSingle, type SingleKind } from '@/storage';

const UnreadableBar = dynamic(() => import('./unreadable-bar').then((file) => file.UnreadableBar), { ssr: false });

/** Above every place: which records can't be read, as long as they stand in the way of new ones. */
export const Unreadable = () => SINGLE_KINDS.map((kind) => <UnreadableOf key={kind} kind={kind} />);

/** One that is looked at by itself, so that a change of the plan reads neither the stash nor the room anew. */
function UnreadableOf({ kind }: { kind: SingleKind }) {
  const single = useLiveQuery(() => unreadableSingle(database(), kind), [kind]);
  return single ? <UnreadableBar single={single} /> : null;
}
