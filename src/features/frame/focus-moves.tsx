'use client';
import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { STATION_NAMES } from '@/words';
import { STATIONS, type StationId } from '@/core/stations';
import { useShelf } from '@/features/shelf';
import { focusOn } from '@/ui';
import { PLACES } from '@/features/shell/places';
import { say } from '@/words/say';

const isStation = (word: string | undefined): word is StationId => STATIONS.includes(word as StationId);

/**
 * After each step to another place or station the title says where it is, and the focus stands on what is new: its
 * answer, or its heading. Whoever listens hears that, and the next key reaches it.
 */
export function FocusMoves() {
  const path = usePathname();
  const shelf = useShelf();
  const before = useRef(path);
  const [, place, id, station] = path.split('/');
  const name =
    place === 'piece'
      ? [...(shelf?.pieces ?? []), ...(shelf?.templates ?? [])].find((piece) => piece.id === id)?.name
      : undefined;
  const where =
    place === 'piece'
      ? [isStation(station) ? STATION_NAMES[station] : null, name]
      : [place === 'help' ? say`Help` : PLACES.find(({ href }) => href === `/${place}`)?.name];
  const title = [...where, 'Fobbet'].filter(Boolean).join(' – ');
  useEffect(() => {
    document.title = title;
  }, [title]);

  useEffect(() => {
    if (before.current === path) return;
    before.current = path;
    let left = TRIES;
    const look = () => {
      const main = document.querySelector<HTMLElement>('main:not([aria-busy="true"])');
      const target =
        main?.querySelector<HTMLElement>('[data-testid="answer"]') ?? main?.querySelector<HTMLElement>('h1') ?? main;
      if (!target) {
        if (left-- > 0) frame = requestAnimationFrame(look);
        return;
      }
      const held = document.activeElement;
      // What the person went to themselves since then, in the page or a dialog, keeps it.
      if (held && main?.contains(held)) return;
      focusOn(target);
    };
    let frame = requestAnimationFrame(look);
    return () => cancelAnimationFrame(frame);
  }, [path]);
  return null;
}

/** Frames that a place may take to stand: four seconds. */
const TRIES = 240;
