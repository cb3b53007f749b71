'use client';
import { useCallback, useEffect, useMemo, useRef } from 'react';
import { useReport } from '@/features/shell';
import { prepareInspector, type Inspector } from '@/workers/inspect/client';
import { landedOrder } from '@/workers/inspect/landed';
import { useOpenPiece } from '../piece-context';

/**
 * A worker that has painted this print and looked at it before there is a photo, while the crafter takes one: the photo
 * alone is left to be read then. Null, and said, where the piece can't be read.
 */
export function useInspector(): () => Inspector | null {
  const { piece, plan, picture, moved } = useOpenPiece();
  const report = useReport();
  const waiting = useRef<{ of: string; inspector: Inspector } | null>(null);
  const order = useMemo(() => landedOrder(piece, plan, moved), [piece, plan, moved]);
  const preview = picture?.preview ?? null;
  // The plan is a new one every half minute, mostly of the same print.
  const key = useMemo(
    () => (order.ok && picture ? `${picture.id} ${JSON.stringify(order.value)}` : null),
    [order, picture],
  );
  const isLaid = piece.lay.laidAt !== null;

  const inspectorFor = useCallback((): Inspector | null => {
    report(order);
    if (!order.ok || !preview || !key) return null;
    const { current } = waiting;
    if (current?.of === key && current.inspector.isFresh()) return current.inspector;
    if (current?.inspector.isFresh()) current.inspector.end();
    const inspector = prepareInspector({ landed: order.value, picture: preview });
    waiting.current = { of: key, inspector };
    return inspector;
  }, [order, preview, key, report]);

  // Once the page stands.
  useEffect(() => {
    if (!isLaid || !key) return;
    const timer = setTimeout(inspectorFor, PREPARE_AFTER_MS);
    return () => clearTimeout(timer);
    // With another print another one, and after each reading; all else that changes says nothing of it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isLaid, key, piece.rub.readings.length]);
  useEffect(
    () => () => {
      if (waiting.current?.inspector.isFresh()) waiting.current.inspector.end();
      waiting.current = null;
    },
    [],
  );
  return inspectorFor;
}

const PREPARE_AFTER_MS = 1500;
