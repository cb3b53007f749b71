'use client';
import dynamic from 'next/dynamic';
import type { StationId } from '@/core/stations';
import { Part } from '@/ui';
import { say } from '@/words/say';

// The words load when they are opened.
const WordList = dynamic(() => import('./word-list').then((file) => file.WordList), { ssr: false });

/** The craft's words that are met at a station, in plain words. */
export const WordsMet = ({ station }: { station: StationId }) => (
  <Part title={say`Words met here`} folded={say`what they mean`}>
    <WordList station={station} />
  </Part>
);
