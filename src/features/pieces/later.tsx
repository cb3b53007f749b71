'use client';
import dynamic from 'next/dynamic';

/** What a newcomer sees; whoever has pieces never loads it. */
export const FirstPiece = dynamic(() => import('./first-piece').then((file) => file.FirstPiece));
