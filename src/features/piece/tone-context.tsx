'use client';
import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';
import type { Tone } from '@/core/raster';

interface TriedTone {
  /** The tone as it is now, also while a slider moves. */
  tone: Tone;
  /** Shows a tone without keeping it; null goes back to what is kept. */
  tryTone: (tone: Tone | null) => void;
}

const ToneContext = createContext<TriedTone | null>(null);

export function useTone(): TriedTone {
  const tried = useContext(ToneContext);
  if (!tried) throw new Error('useTone is used outside a piece');
  return tried;
}

/** Apart from the open piece: a slider's tick redraws the slider and the drawings, nothing else. */
export function ToneProvider({ kept, children }: { kept: Tone; children: ReactNode }) {
  const [tried, tryTone] = useState<Tone | null>(null);
  const value = useMemo(() => ({ tone: tried ?? kept, tryTone }), [tried, kept]);
  return <ToneContext.Provider value={value}>{children}</ToneContext.Provider>;
}
