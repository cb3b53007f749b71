'use client';
import { Button } from '@mui/material';
import { useEffect, useMemo, useRef, useState } from 'react';
import { ghostlyRegions, type Analysis, type Crop } from '@/core/picture';
import { letteringOf, type Job } from '@/core/stations';
import { mirroredChoice, proposePlacements, turnedShare, type Placement } from '@/core/trace';
import { storedFrom, useReport } from '@/features/shell';
import { mirrorPicture } from '@/workers/picture/client';
import { NextRow, Note, PercentField, TextButton, useUnits } from '@/ui';
import { placementWords } from '@/words';
import { useOpenPiece } from '../piece-context';
import css from './surface.module.css';
import { say } from '@/words/say';

const LEAST_MARGIN_MM = 3;
const SQUARE_MM = 2;
const MOST_CLEAR = 12;
const NEW_BOX = { x: 0.35, y: 0.2, width: 0.3, height: 0.4 };

type Face = NonNullable<Job['surface']['face']>;

/** How the traced blank lies best under this picture: what is to be kept clear, and the three best ways. */
export function LiesBest({ face, analysis }: { face: Face; analysis: Analysis | null }) {
  const { piece, plan, picture, change, changeAll } = useOpenPiece();
  const units = useUnits();
  const report = useReport();
  const [busy, setBusy] = useState(false);
  const mirroring = useRef<ReturnType<typeof mirrorPicture> | null>(null);
  useEffect(() => () => mirroring.current?.cancel(), []);
  const { blank, print } = plan.surface;
  const { keepClear } = piece.picture;
  // A motif's outline is of this picture; nothing that was printed is taken back for a knot.
  const mayMirror =
    picture !== null &&
    letteringOf(piece) === 'no' &&
    piece.sheet.form.edge !== 'motif' &&
    piece.sheet.printedAt === null;
  const proposed = useMemo(() => {
    if (!blank || !print || blank.layout.kind !== 'plain') return [];
    return proposePlacements({
      blank,
      isSquare: piece.surface.shape.kind !== 'polygon' && Math.abs(blank.widthMm - blank.heightMm) < SQUARE_MM,
      print: print.rect,
      face: turnedBack(face),
      lines: analysis?.direction ?? null,
      keepClear,
      pale: analysis ? ghostlyRegions(analysis.blocks).map((region) => boxOf(region.blocks, analysis.blocks)) : [],
      mayMirror,
      leastMarginMm: LEAST_MARGIN_MM,
    });
  }, [blank, print, face, analysis, keepClear, mayMirror, piece.surface.shape.kind]);
  if (!blank) return null;
  if (!print) return <Note>{say`Choose the picture, and Fobbet says which way the object lies best under it.`}</Note>;
  const setClear = (boxes: Crop[], label: string) => change('picture', { keepClear: boxes }, label);
  const lay = async ({ turns, mirrored, shiftXMm, shiftYMm }: Placement) => {
    const { margins } = piece.sheet;
    const taken = mirrored ? await mirror() : null;
    if (mirrored && !taken) return;
    changeAll(
      {
        // The same picture, seen in a mirror: what is said of it holds on.
        ...(taken
          ? {
              picture: {
                pictureId: taken.id,
                lettering: piece.picture.lettering,
                ...mirroredChoice(piece.picture),
              },
            }
          : {}),
        surface: {
          face: { ...face, turns: ((face.turns + turns) % 4) as Face['turns'] },
          grain: { ...piece.surface.grain, angleDeg: grainAfter(face, turns) ?? piece.surface.grain.angleDeg },
        },
        sheet: {
          margins: {
            leftMm: moved(margins.leftMm, shiftXMm),
            rightMm: moved(margins.rightMm, -shiftXMm),
            topMm: moved(margins.topMm, shiftYMm),
            bottomMm: moved(margins.bottomMm, -shiftYMm),
          },
        },
      },
      say`how the object lies`,
      taken ? [taken] : [],
    );
  };
  async function mirror() {
    if (!picture) return null;
    setBusy(true);
    mirroring.current = mirrorPicture(picture.file);
    const found = await mirroring.current.done;
    setBusy(false);
    if (found) report(found);
    return found?.ok ? storedFrom(found.value, { name: picture.name, bytes: found.value.file.size }) : null;
  }
  return (
    <div className={css.lies}>
      <h4>{say`What knots are kept off`}</h4>
      {keepClear.length === 0 && <Note>{say`Pale subjects, as the pixels tell. A face has to be marked.`}</Note>}
      {keepClear.map((box, at) => (
        <ClearBox
          key={at}
          box={box}
          number={at + 1}
          onChange={(next) =>
            setClear(
              keepClear.map((one, other) => (other === at ? next : one)),
              say`face ${at + 1}`,
            )
          }
          onRemove={() =>
            setClear(
              keepClear.filter((_, other) => other !== at),
              say`no face ${at + 1}`,
            )
          }
        />
      ))}
      {keepClear.length < MOST_CLEAR && (
        <NextRow apart>
          <Button
            size="small"
            variant="outlined"
            onClick={() => setClear([...keepClear, NEW_BOX], say`a face to be kept clear`)}
            data-testid="mark-face"
          >{say`Mark a face`}</Button>
        </NextRow>
      )}
      {proposed.length > 0 && (
        <>
          <h4>{say`It lies best`}</h4>
          <ol className={css.proposed} data-testid="placements">
            {proposed.map((one, at) => (
              <li
                key={`${one.turns} ${one.mirrored} ${one.shiftXMm} ${one.shiftYMm}`}
                data-marked={one.knotsMarked}
                data-mirrored={one.mirrored}
              >
                <span>{placementWords(one, units)}</span>
                <Button
                  size="small"
                  variant={at === 0 ? 'contained' : 'outlined'}
                  disabled={busy}
                  onClick={() => void lay(one)}
                >{say`Lay it so`}</Button>
              </li>
            ))}
          </ol>
        </>
      )}
    </div>
  );
}

const tenth = (mm: number): number => Math.round(mm * 10) / 10;
const moved = (mm: number, by: number): number => Math.max(0, tenth(mm + by));

/** The face as it lies now counts as unturned: proposals are turns from here. */
function turnedBack(face: Face) {
  const knots = face.knots.map(({ x, y, radius }) => ({ ...turnedShare(x, y, face.turns), radius }));
  return { grainDeg: grainAfter(face, 0), knots };
}

function grainAfter(face: Face, turns: number): number | null {
  if (face.grainDeg === null) return null;
  const deg = (((face.grainDeg + 90 * (face.turns + turns)) % 180) + 180) % 180;
  return Math.round(deg > 90 ? deg - 180 : deg);
}

function boxOf(blocks: readonly number[], { columns, rows }: { columns: number; rows: number }): Crop {
  const xs = blocks.map((block) => block % columns);
  const ys = blocks.map((block) => Math.floor(block / columns));
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return {
    x: left / columns,
    y: top / rows,
    width: (Math.max(...xs) + 1 - left) / columns,
    height: (Math.max(...ys) + 1 - top) / rows,
  };
}

const SIDES: readonly { key: keyof Crop; name: string }[] = [
  { key: 'x', name: say`from the left` },
  { key: 'y', name: say`from the top` },
  { key: 'width', name: say`wide` },
  { key: 'height', name: say`high` },
];

/** A marked part by its four figures, in hundredths of the print; dragged on the specimen just as well. */
function ClearBox({
  box,
  number,
  onChange,
  onRemove,
}: {
  box: Crop;
  number: number;
  onChange: (box: Crop) => void;
  onRemove: () => void;
}) {
  return (
    <fieldset className={css.clear} data-testid={`clear-${number}`}>
      <legend>{say`Face ${number}`}</legend>
      {SIDES.map(({ key, name }) => (
        <PercentField
          key={key}
          label={name}
          value={Math.round(box[key] * 100)}
          onCommit={(percent) => percent !== null && onChange({ ...box, [key]: percent / 100 })}
          testId={`clear-${number}-${key}`}
        />
      ))}
      <TextButton onClick={onRemove}>{say`Take the mark away`}</TextButton>
    </fieldset>
  );
}
