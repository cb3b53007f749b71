'use client';
import { createContext, useContext } from 'react';

/** How the person likes to read: whether folded parts stand open, and how long a notice stands. */
interface Reading {
  unfolded: boolean;
  notices: 'short' | 'long' | 'stay';
}

const ReadingContext = createContext<Reading>({ unfolded: false, notices: 'short' });
export const ReadingProvider = ReadingContext.Provider;
export const useReading = () => useContext(ReadingContext);
