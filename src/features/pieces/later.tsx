'use client';
import dynamic from 'next/dynamic';

/** What a newcomer sees; whoever has pieces never loads it. */
export const FirstPiece = dynamic(() => import('./first-piece').then((file) => file.FirstPiece));

/** Loaded once the shelf stands. */
export const LetteringOnce = dynamic(() => import('./lettering-once').then((file) => file.LetteringOnce));
