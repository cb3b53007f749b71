'use client';
import { toggled } from '@/core/shared';
import { useMemo, useState } from 'react';
import { mixesFor, wornShare } from '@/core/advice';
import { LIKED_BY_PRESS, frameStrips, type LikedRepair, type RepairId, type Wear, type WearPlace } from '@/core/mend';
import { baseCoatById, isWash } from '@/core/craft';
import type { Blank } from '@/core/shape';
import { useStash } from '@/features/at-hand';
import { ChoiceField, Fields, LengthField, Note, Part, PercentField, TextButton, TickRow, useUnits } from '@/ui';
import { REPAIR_WORDS, WEAR_NAMES, mixWords, remarks, sentences, wearWanted, type Wording } from '@/words';
import { ColourField } from '../surface/colour-field';
import { useOpenPiece } from '../piece-context';
import type { ReadHoles } from './use-holes';
import type { Rim } from './use-rim';
import { say } from '@/words/say';

const PLACES: readonly WearPlace[] = ['edges', 'corners', 'all-over'];
const FIRST_WEAR: Wear = { share: 0.03, where: 'edges' };
const FIRST_STAIN = '#5a3b22';
const STRIP_MM = 20;

/** What is a matter of taste: wear on purpose, a rim, a stain or glaze, strips for a frame. Each drawn on the piece. */
export function LooksPart({ read, rim }: { read: ReadHoles | null; rim: Rim | null }) {
  const { piece, plan } = useOpenPiece();
  const { wear, glaze, liked } = piece.mend;
  const offers = (id: RepairId) => plan.mend.repairs.some((repair) => repair.id === id);
  const likes = LIKED_BY_PRESS.filter(offers);
  const { record, blank } = plan.surface;
  const mayWear = offers('distress');
  const mayStain = offers('stain');
  const framed = blank?.layout.kind === 'plain' && blank.isFullRectangle && record?.class !== 'fabric' ? blank : null;
  if (!mayWear && !mayStain && !framed && !rim && likes.length === 0) return null;
  return (
    <Part
      title={say`If you like it so`}
      folded={
        remarks(
          wear && say`worn`,
          glaze && say`stained`,
          ...likes.filter((id) => liked.includes(id)).map((id) => REPAIR_WORDS[id].inText),
        ) || say`nothing of it`
      }
    >
      <Likes offered={likes} />
      {mayWear && <WearFields read={read} />}
      {rim && <RimNote rim={rim} />}
      {mayStain && <StainFields />}
      {framed && <FrameStrips blank={framed} />}
    </Part>
  );
}

/** Ticked, it stands in the plan with its hands and its drying, before the sealer. */
function Likes({ offered }: { offered: readonly LikedRepair[] }) {
  const { piece, change } = useOpenPiece();
  const { liked } = piece.mend;
  return offered.map((id) => {
    const toggle = () => change('mend', { liked: toggled(liked, id) }, REPAIR_WORDS[id].inText);
    return (
      <TickRow key={id} checked={liked.includes(id)} onToggle={toggle}>
        {REPAIR_WORDS[id].title}
        <small>{REPAIR_WORDS[id].why}</small>
      </TickRow>
    );
  });
}

function WearFields({ read }: { read: ReadHoles | null }) {
  const { piece, plan, change } = useOpenPiece();
  const units = useUnits();
  const { wear } = piece.mend;
  const { print } = plan.surface;
  const setWear = (patch: Partial<Wear>) =>
    change('mend', { wear: { ...(wear ?? FIRST_WEAR), ...patch } }, say`wear on purpose`);
  return (
    <>
      <Fields>
        <PercentField
          label={say`Worn on purpose`}
          value={wear ? wear.share * 100 : null}
          onCommit={(percent) =>
            percent === null || percent <= 0
              ? change('mend', { wear: null }, say`no wear`)
              : setWear({ share: Math.min(50, percent) / 100 })
          }
          hint={say`of the print; clear for none`}
          testId="wear"
        />
        {wear && (
          <ChoiceField
            label={say`Where`}
            value={wear.where}
            options={PLACES.map((id) => ({ id, name: WEAR_NAMES[id] }))}
            onCommit={(where) => setWear({ where })}
          />
        )}
      </Fields>
      {wear && print && <Note>{wearWords(wear, print.areaMm2, read, units)}</Note>}
    </>
  );
}

function wearWords({ share, where }: Wear, areaMm2: number, read: ReadHoles | null, units: Wording): string {
  const wanted = wearWanted(where, units.area(share * areaMm2));
  if (!read) return wanted;
  const now = wornShare(read.reading);
  const more = Math.max(0, share - now.share);
  const worn = `${(now.share * 100).toFixed(1)} %`;
  const atEdges = `${Math.round(now.atEdges * 100)} %`;
  return sentences(
    wanted,
    more > 0
      ? say`The last photo shows ${worn} worn, ${atEdges} of that at the edges: ${units.area(more * areaMm2)} more to go.`
      : say`The last photo shows ${worn} worn, ${atEdges} of that at the edges: it is there already.`,
  );
}

function StainFields() {
  const { piece, change } = useOpenPiece();
  const { glaze } = piece.mend;
  return (
    <>
      <Fields>
        <ColourField
          label={say`Stain after the transfer`}
          value={glaze ?? FIRST_STAIN}
          onCommit={(colour) => change('mend', { glaze: colour }, say`stain`)}
        />
        {glaze && (
          <TextButton onClick={() => change('mend', { glaze: null }, say`no stain`)}>{say`Without stain`}</TextButton>
        )}
      </Fields>
      {glaze && (
        <Note>
          {sentences(
            say`Bare wood takes it and darkens, the picture does not: wipe it on with the grain and off again at once.`,
            isWash(baseCoatById(piece.surface.baseCoat)) && say`Over a wash it takes less.`,
            say`Oily rags can heat themselves: dry them flat, or put them into water.`,
          )}
        </Note>
      )}
    </>
  );
}

/** What to saw for a frame round the blank. */
function FrameStrips({ blank }: { blank: Blank }) {
  const units = useUnits();
  const [stripMm, setStripMm] = useState(STRIP_MM);
  const { across, down, stockMm } = frameStrips(blank, stripMm);
  return (
    <>
      <Fields>
        <LengthField
          label={say`Frame strips, how wide`}
          value={stripMm}
          onCommit={(mm) => setStripMm(mm ?? STRIP_MM)}
          minMm={4}
          maxMm={200}
          testId="strip"
        />
      </Fields>
      <Note>{say`Two strips of ${units.length(across.outerMm)} and two of ${units.length(down.outerMm)}, tip to tip,
        mitred at 45°; inside they are ${units.length(across.innerMm)} and ${units.length(down.innerMm)}. Buy
        ${units.length(stockMm)} of stock: the saw takes some.`}</Note>
    </>
  );
}

function RimNote({ rim: { colour, widthMm } }: { rim: Rim }) {
  const units = useUnits();
  const {
    atHand: { pigments },
  } = useStash();
  const mix = useMemo(
    () =>
      mixesFor(
        [{ number: 1, areaCm2: 1, minutes: 0, colour, box: { xMm: 0, yMm: 0, widthMm: widthMm, heightMm: widthMm } }],
        pigments,
      )[0],
    [colour, widthMm, pigments],
  );
  return mix ? (
    <Note>{say`A rim of ${units.length(widthMm)} in the picture’s own edge colour hides its edge:
      ${mixWords(mix)}, sponged outward.`}</Note>
  ) : null;
}
