'use client';
import { Button, IconButton } from '@mui/material';
import { X } from 'lucide-react';
import { useId, useLayoutEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { SURFACES, baseCoatById, type SurfaceId } from '@/core/craft';
import type { JobPatch, TryOn } from '@/core/stations';
import { changedBy } from '@/records';
import { planPiece } from '@/core/plan';
import type { Optics } from '@/core/render';
import { LookInSvg, landingOrder } from '@/features/look';
import { useStash } from '@/features/at-hand';
import { Fields, NextRow, Note, SelectField, useKeyed } from '@/ui';
import { useOpenPiece } from '../piece-context';
import css from './method.module.css';
import { BASE_COAT_WORDS, BINDER_WORDS, SCHOOL_NAMES, SURFACE_WORDS } from '@/words';
import { useTone } from '../tone-context';
import { say } from '@/words/say';

const MOST = 6;
const CAPTION_PX = 74;

const patchOf = ({ surface, baseCoat, school, binder }: TryOn, sameSurface: boolean): JobPatch => ({
  surface: {
    kind: surface,
    baseCoat,
    ...(baseCoat === 'none' ? {} : { baseColour: baseCoatById(baseCoat).colour }),
    ...(sameSurface ? {} : { finish: surface === 'painted-wood' ? 'chalk-type-paint' : 'bare', bareColour: null }),
  },
  method: { school, binder },
});

/**
 * Pairs worth a look, before the person chose any: the best binders here, and the best on two other kinds of ground.
 */
function useFirstPairs(): TryOn[] {
  const { piece, plan, picture, now } = useOpenPiece();
  const { atHand } = useStash();
  return useMemo(() => {
    const here = piece.surface.kind;
    if (!here) return [];
    const pairs: TryOn[] = plan.method.candidates
      .filter((candidate) => candidate.verdict !== 'refused')
      .slice(0, 3)
      .map((candidate) => ({
        surface: here,
        baseCoat: piece.surface.baseCoat,
        school: candidate.school.id,
        binder: candidate.binder.id,
      }));
    for (const surface of (['soft-wood', 'painted-wood', 'canvas', 'stone'] as SurfaceId[])
      .filter((id) => id !== here)
      .slice(0, 3)) {
      const baseCoat = surface === 'stone' ? 'chalk-type-paint' : 'none';
      const other = planPiece(
        changedBy(piece, patchOf({ surface, baseCoat, school: 'dry-and-rub', binder: 'fluid-gel' }, false)),
        picture,
        now,
        atHand,
      ).method.candidates[0];
      if (other && other.verdict !== 'refused')
        pairs.push({ surface, baseCoat, school: other.school.id, binder: other.binder.id });
    }
    return pairs;
  }, [piece, plan.method.candidates, picture, now, atHand]);
}

/** The same picture on up to six pairs of surface and method, all at one scale; one is picked. */
export function TryOnBoard({ optics, actions }: { optics: Optics; actions: ReactNode }) {
  const { piece, plan, changeAll, change } = useOpenPiece();
  const first = useFirstPairs();
  const pairs = piece.method.tryOn.length > 0 ? piece.method.tryOn : first;
  const frame = useRef<HTMLDivElement>(null);
  const [box, setBox] = useState({ width: 0, height: 0 });
  useLayoutEffect(() => {
    if (!frame.current) return;
    const observer = new ResizeObserver(([entry]) =>
      setBox({ width: entry!.contentRect.width, height: entry!.contentRect.height }),
    );
    observer.observe(frame.current);
    return () => observer.disconnect();
  }, []);
  if (!plan.surface.blank) return <Note>{say`Measure the object first.`}</Note>;
  const columns = box.width < 500 ? 2 : pairs.length <= 4 ? Math.min(2, pairs.length) : 3;
  const rows = Math.ceil(pairs.length / columns);
  const [cellWidth, cellHeight] = [box.width / columns - 18, Math.max(120, box.height / rows - CAPTION_PX)];
  const pxPerMm = Math.max(
    0.05,
    Math.min(cellWidth / plan.surface.blank.widthMm, cellHeight / plan.surface.blank.heightMm),
  );
  const pick = (pair: TryOn) =>
    changeAll(
      patchOf(pair, pair.surface === piece.surface.kind),
      say`${SURFACE_WORDS[pair.surface].shortInText} with ${BINDER_WORDS[pair.binder].inText}`,
    );
  return (
    <figure className={css.board}>
      <div
        ref={frame}
        className={css.pairs}
        style={{ gridTemplateColumns: `repeat(${columns}, 1fr)` }}
        data-testid="try-on"
      >
        {box.width > 0 &&
          pairs.map((pair, index) => (
            <Pair
              key={`${pair.surface}-${pair.baseCoat}-${pair.school}-${pair.binder}`}
              pair={pair}
              optics={optics}
              pxPerMm={pxPerMm}
              onPick={() => pick(pair)}
              onRemove={() => change('method', { tryOn: pairs.filter((_, i) => i !== index) }, say`pair taken away`)}
            />
          ))}
      </div>
      <figcaption className={css.boardCaption}>
        <span>{say`All at one scale, as they should look.`}</span>
        <span className={css.actions}>{actions}</span>
      </figcaption>
    </figure>
  );
}

function Pair({
  pair,
  optics,
  pxPerMm,
  onPick,
  onRemove,
}: {
  pair: TryOn;
  optics: Optics;
  pxPerMm: number;
  onPick: () => void;
  onRemove: () => void;
}) {
  const { piece, picture, now, moved } = useOpenPiece();
  const { tone } = useTone();
  const { atHand } = useStash();
  const id = useId();
  const same = pair.surface === piece.surface.kind;
  const job = useMemo(() => changedBy(piece, patchOf(pair, same)), [piece, pair, same]);
  const plan = useMemo(() => planPiece(job, picture, now, atHand), [job, picture, now, atHand]);
  const order = useKeyed(
    [
      plan.surface.look,
      plan.surface.blank?.path,
      plan.surface.print?.rect,
      plan.surface.print?.crop,
      plan.method.binder?.id,
      optics,
      Math.round(pxPerMm * 100),
      plan.method.sheen,
    ],
    [tone, moved, picture?.id],
    () => landingOrder({ job, plan, picture, layers: moved, tone, optics, pxPerMm }, true),
  );
  const {
    surface: { blank },
  } = plan;
  if (!blank) return null;
  const chosen =
    same &&
    pair.baseCoat === piece.surface.baseCoat &&
    pair.binder === piece.method.binder &&
    pair.school === piece.method.school;
  return (
    <div className={css.pair} data-chosen={chosen} data-surface={pair.surface} data-binder={pair.binder}>
      <svg
        width={blank.widthMm * pxPerMm}
        height={blank.heightMm * pxPerMm}
        viewBox={`0 0 ${blank.widthMm} ${blank.heightMm}`}
        role="img"
        aria-label={say`${SURFACE_WORDS[pair.surface].name} with ${BINDER_WORDS[pair.binder].name}`}
      >
        <clipPath id={`${id}-outline`}>
          <path d={blank.path} clipRule="evenodd" />
        </clipPath>
        <g clipPath={`url(#${id}-outline)`}>
          <LookInSvg order={order} xMm={0} yMm={0} widthMm={blank.widthMm} heightMm={blank.heightMm} />
        </g>
        <path d={blank.path} fill="none" stroke="var(--ink)" strokeWidth={1.2} vectorEffect="non-scaling-stroke" />
      </svg>
      <div className={css.pairWords}>
        <span>
          <b>{SURFACE_WORDS[pair.surface].shortName}</b>
          {pair.baseCoat === 'none' ? '' : `, ${BASE_COAT_WORDS[pair.baseCoat].inText}`}
          <br />
          {BINDER_WORDS[pair.binder].name} · {SCHOOL_NAMES[pair.school].inText}
        </span>
        <span className={css.pairTools}>
          <Button size="small" variant={chosen ? 'contained' : 'outlined'} onClick={onPick} aria-pressed={chosen}>
            {chosen ? say`Chosen` : say`Take this`}
          </Button>
          <IconButton size="small" aria-label={say`Take this pair away`} onClick={onRemove}>
            <X size={15} />
          </IconButton>
        </span>
      </div>
    </div>
  );
}

/** Adds a pair to the board: a surface with the method that does best on it, or another. */
export function TryOnFields() {
  const { piece, picture, now, change } = useOpenPiece();
  const { atHand } = useStash();
  const first = useFirstPairs();
  const [surface, setSurface] = useState<SurfaceId>(piece.surface.kind ?? 'soft-wood');
  const pairs = piece.method.tryOn.length > 0 ? piece.method.tryOn : first;
  const ranked = useMemo(
    () =>
      planPiece(
        changedBy(
          piece,
          patchOf(
            { surface, baseCoat: 'none', school: 'dry-and-rub', binder: 'fluid-gel' },
            surface === piece.surface.kind,
          ),
        ),
        picture,
        now,
        atHand,
      ).method.candidates.filter((candidate) => candidate.verdict !== 'refused'),
    [piece, surface, picture, now, atHand],
  );
  const [choice, setChoice] = useState<string | null>(null);
  const chosen = ranked.find((candidate) => `${candidate.school.id}-${candidate.binder.id}` === choice) ?? ranked.at(0);
  const full = pairs.length >= MOST;
  return (
    <>
      <Fields>
        <SelectField
          label={say`Surface`}
          value={surface}
          options={SURFACES.map(({ id }) => ({ id, name: SURFACE_WORDS[id].shortName }))}
          onCommit={(id) => {
            setSurface(id);
            setChoice(null);
          }}
          testId="try-surface"
        />
        <SelectField
          label={say`Method`}
          value={chosen ? `${chosen.school.id}-${chosen.binder.id}` : null}
          options={ranked.map((candidate) => ({
            id: `${candidate.school.id}-${candidate.binder.id}`,
            name: `${BINDER_WORDS[candidate.binder.id].name} · ${SCHOOL_NAMES[candidate.school.id].name}`,
          }))}
          onCommit={setChoice}
          testId="try-method"
        />
      </Fields>
      <NextRow>
        <Button
          size="small"
          variant="outlined"
          disabled={!chosen || full}
          data-testid="try-add"
          onClick={() =>
            chosen &&
            change(
              'method',
              { tryOn: [...pairs, { surface, baseCoat: 'none', school: chosen.school.id, binder: chosen.binder.id }] },
              say`pair to try on`,
            )
          }
        >{say`Add this pair`}</Button>
        {full && <Note>{say`Six is what can be compared at a glance: take one away first.`}</Note>}
      </NextRow>
    </>
  );
}
