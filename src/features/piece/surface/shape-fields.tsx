'use client';
import { Button, IconButton } from '@mui/material';
import { Trash2 } from 'lucide-react';
import { MAX_PRINT_MM } from '@/core/sheet';
import { SHAPE_KINDS, shapeKind, type BlankShape, type Opening, type ShapeKind, type MarginsMm } from '@/core/shape';
import { useReport } from '@/features/shell';
import { ChoiceField, Fields, FigureField, FileButton, LengthField, NextRow, Note, SelectField, Wide } from '@/ui';
import { useOpenPiece } from '../piece-context';
import css from './surface.module.css';
import { SHAPE_WORDS } from '@/words';
import { say } from '@/words/say';

const NO_MARGINS: MarginsMm = { topMm: 0, rightMm: 0, bottomMm: 0, leftMm: 0 };
export function ShapeField() {
  const { piece, changeAll } = useOpenPiece();
  const { shape, widthMm } = piece.surface;
  const choose = (kind: ShapeKind) =>
    changeAll(
      {
        surface: { shape: shapeKind(kind).defaults(widthMm ?? 200) },
        // A wrapped print runs round to the back, a slatted one over every edge.
        ...(shapeKind(kind).coversEdges ? { sheet: { margins: NO_MARGINS } } : {}),
      },
      say`shape: ${SHAPE_WORDS[kind].inText}`,
    );
  return (
    <SelectField
      label={say`Shape`}
      value={shape.kind}
      options={SHAPE_KINDS.map((id) => ({ id, name: SHAPE_WORDS[id].name }))}
      onCommit={choose}
      testId="shape"
    />
  );
}

/** What a shape asks for besides width and height. */
export function ShapeFields() {
  const { piece, plan, change } = useOpenPiece();
  const { shape } = piece.surface;
  const set = <S extends BlankShape>(of: S, patch: Partial<S>, label: string) =>
    change('surface', { shape: { ...of, ...patch } }, label);
  const round = (of: Extract<BlankShape, { shareOfRound: number }>) => (
    <FigureField
      label={say`Share of the way round`}
      value={Math.round(of.shareOfRound * 1000) / 10}
      unit="%"
      min={1}
      max={100}
      decimals={1}
      onCommit={(percent) => percent !== null && set(of, { shareOfRound: percent / 100 }, say`share of the way round`)}
      testId="share-of-round"
    />
  );
  switch (shape.kind) {
    case 'wrapped-canvas':
      return (
        <>
          <LengthField
            small
            label={say`Depth of the sides`}
            value={shape.depthMm}
            maxMm={200}
            onCommit={(depthMm) => depthMm !== null && set(shape, { depthMm }, say`depth of the sides`)}
            testId="wrap-depth"
          />
          <LengthField
            small
            label={say`Tuck on the back`}
            value={shape.tuckMm}
            maxMm={200}
            onCommit={(tuckMm) => tuckMm !== null && set(shape, { tuckMm }, 'tuck')}
            testId="wrap-tuck"
          />
        </>
      );
    case 'slats':
      return (
        <>
          <FigureField
            label={say`Slats`}
            value={shape.count}
            whole
            min={1}
            max={60}
            onCommit={(count) => count !== null && set(shape, { count }, say`number of slats`)}
            testId="slat-count"
          />
          <LengthField
            small
            label={say`Gap between them`}
            value={shape.gapMm}
            maxMm={500}
            onCommit={(gapMm) => gapMm !== null && set(shape, { gapMm }, 'gap')}
            testId="slat-gap"
          />
          <ChoiceField
            label={say`Slats run`}
            value={shape.run}
            options={[
              { id: 'vertical', name: say`Upright` },
              { id: 'horizontal', name: say`Across` },
            ]}
            onCommit={(run) => set(shape, { run }, say`run of the slats`)}
          />
        </>
      );
    case 'drawer-row':
      return (
        <>
          <FigureField
            label={say`Fronts`}
            value={shape.count}
            whole
            min={1}
            max={20}
            onCommit={(count) => count !== null && set(shape, { count }, say`number of fronts`)}
            testId="front-count"
          />
          <LengthField
            small
            label={say`Gap between them`}
            value={shape.gapMm}
            maxMm={500}
            onCommit={(gapMm) => gapMm !== null && set(shape, { gapMm }, 'gap')}
          />
          <ChoiceField
            label={say`Knobs on each`}
            value={String(shape.knobs) as '0' | '1' | '2'}
            options={[
              { id: '0', name: say`None` },
              { id: '1', name: say`One` },
              { id: '2', name: say`Two` },
            ]}
            onCommit={(knobs) => set(shape, { knobs: Number(knobs) as 0 | 1 | 2 }, 'knobs')}
          />
          {shape.knobs > 0 && (
            <LengthField
              small
              label={say`Knob’s foot`}
              value={shape.knobMm}
              minMm={1}
              maxMm={300}
              onCommit={(knobMm) => knobMm !== null && set(shape, { knobMm }, say`size of the knob`)}
            />
          )}
        </>
      );
    case 'cylinder':
      return round(shape);
    case 'vessel':
      return (
        <>
          <LengthField
            label={say`Diameter at the bottom`}
            value={shape.bottomMm}
            minMm={5}
            onCommit={(bottomMm) => bottomMm !== null && set(shape, { bottomMm }, say`diameter at the bottom`)}
            testId="vessel-bottom"
          />
          {round(shape)}
        </>
      );
    case 'panel':
      return (
        <Wide>
          <Openings
            shape={shape}
            size={plan.surface.blank}
            onChange={(openings, label) => set(shape, { openings }, label)}
          />
        </Wide>
      );
    case 'polygon':
      return (
        <Wide>
          <Outline shape={shape} />
        </Wide>
      );
    default:
      return null;
  }
}

function Openings({
  shape,
  size,
  onChange,
}: {
  shape: Extract<BlankShape, { kind: 'panel' }>;
  size: { widthMm: number; heightMm: number } | null;
  onChange: (openings: Opening[], label: string) => void;
}) {
  const { openings } = shape;
  const put = (index: number, patch: Partial<Opening>, label: string) =>
    onChange(
      openings.map((opening, i) => (i === index ? { ...opening, ...patch } : opening)),
      label,
    );
  const add = (kind: Opening['kind']) =>
    onChange(
      [...openings, { kind, xMm: (size?.widthMm ?? 200) / 2, yMm: (size?.heightMm ?? 200) / 2, diameterMm: 30 }],
      kind,
    );
  return (
    <div>
      {openings.map((opening, index) => (
        <div key={index} className={css.opening}>
          <b>
            {opening.kind === 'knob' ? say`Knob` : say`Hole`} {index + 1}
          </b>
          <LengthField
            small
            label={say`Across`}
            value={opening.diameterMm}
            minMm={1}
            onCommit={(diameterMm) => diameterMm !== null && put(index, { diameterMm }, say`size of the opening`)}
          />
          <LengthField
            small
            label={say`From the left`}
            value={opening.xMm}
            maxMm={MAX_PRINT_MM}
            onCommit={(xMm) => xMm !== null && put(index, { xMm }, say`place of the opening`)}
            testId={`opening-x-${index}`}
          />
          <LengthField
            small
            label={say`From the top`}
            value={opening.yMm}
            maxMm={MAX_PRINT_MM}
            onCommit={(yMm) => yMm !== null && put(index, { yMm }, say`place of the opening`)}
          />
          <IconButton
            size="small"
            aria-label={say`Remove ${opening.kind} ${index + 1}`}
            onClick={() =>
              onChange(
                openings.filter((_, i) => i !== index),
                say`opening removed`,
              )
            }
          >
            <Trash2 size={16} />
          </IconButton>
        </div>
      ))}
      <NextRow>
        <Button
          size="small"
          variant="outlined"
          onClick={() => add('hole')}
          data-testid="add-hole"
        >{say`Add a hole`}</Button>
        <Button size="small" variant="outlined" onClick={() => add('knob')}>{say`Add a knob`}</Button>
      </NextRow>
    </div>
  );
}

/**
 * The outline of a cut shape: corners dragged on the specimen, added and taken away here, or read from an SVG drawing.
 */
function Outline({ shape }: { shape: Extract<BlankShape, { kind: 'polygon' }> }) {
  const { changeAll } = useOpenPiece();
  const report = useReport();
  const { points } = shape;
  const set = (next: typeof points, label: string) =>
    changeAll({ surface: { shape: { ...shape, points: next } } }, label);
  const read = async (file: File) => {
    const { outlineOf } = await import('@/workers/reading/client');
    const outline = await outlineOf(await file.text());
    report(outline);
    if (!outline.ok) return;
    const { widthMm, heightMm } = outline.value;
    changeAll(
      {
        surface: {
          shape: { kind: 'polygon', points: outline.value.points },
          ...(widthMm && heightMm && widthMm <= MAX_PRINT_MM && heightMm <= MAX_PRINT_MM ? { widthMm, heightMm } : {}),
        },
      },
      say`outline from a drawing`,
    );
  };
  const split = () => {
    // The longest side gets a corner in its middle.
    const side = points
      .map((point, i) => {
        const next = points[(i + 1) % points.length]!;
        return { i, length: Math.hypot(next.x - point.x, next.y - point.y) };
      })
      .sort((a, b) => b.length - a.length)[0]!.i;
    const [a, b] = [points[side]!, points[(side + 1) % points.length]!];
    set(
      [...points.slice(0, side + 1), { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }, ...points.slice(side + 1)],
      say`corner added`,
    );
  };
  return (
    <div>
      <NextRow>
        <Button
          size="small"
          variant="outlined"
          onClick={split}
          disabled={points.length >= 60}
        >{say`Add a corner`}</Button>
        <Button
          size="small"
          variant="outlined"
          onClick={() => set(points.slice(0, -1), say`corner taken away`)}
          disabled={points.length <= 3}
        >{say`Take one away`}</Button>
        <FileButton
          size="small"
          variant="outlined"
          accept=".svg,image/svg+xml"
          onFile={(file) => void read(file)}
          testId="outline-file"
        >{say`Outline from an SVG`}</FileButton>
      </NextRow>
      <Note>{say`${points.length} corners. Drag them on the specimen, or move one with the arrow keys.`}</Note>
    </div>
  );
}

/** How the stuff lies under the print. */
export function GrainFields({ proposedDeg }: { proposedDeg: number | null }) {
  const { piece, plan, change } = useOpenPiece();
  const { grain } = piece.surface;
  const wood = plan.surface.record?.class === 'wood' || plan.surface.record?.oldFinish;
  const set = (patch: Partial<typeof grain>, label: string) =>
    change('surface', { grain: { ...grain, ...patch } }, label);
  return (
    <Fields>
      <FigureField
        label={say`Grain turned by`}
        value={grain.angleDeg}
        unit="°"
        min={-180}
        max={180}
        decimals={0}
        onCommit={(angleDeg) => set({ angleDeg: angleDeg ?? 0 }, say`turn of the grain`)}
        hint={say`0 runs across, 90 up and down`}
        testId="grain-angle"
      />
      <div>
        {proposedDeg !== null && Math.abs(proposedDeg - grain.angleDeg) > 5 ? (
          <Button
            size="small"
            variant="outlined"
            onClick={() => set({ angleDeg: proposedDeg }, say`grain along the picture`)}
            data-testid="grain-proposed"
          >{say`Turn it to the picture’s lines: ${proposedDeg}°`}</Button>
        ) : (
          <Note>
            {proposedDeg === null
              ? say`The picture’s lines run every way, so every direction will do.`
              : say`The grain follows the picture’s lines.`}
          </Note>
        )}
      </div>
      <LengthField
        small
        label={say`Shifted to the right`}
        value={grain.shiftXMm}
        maxMm={2000}
        onCommit={(shiftXMm) => shiftXMm !== null && set({ shiftXMm }, say`shift of the grain`)}
      />
      <LengthField
        small
        label={say`Shifted down`}
        value={grain.shiftYMm}
        maxMm={2000}
        onCommit={(shiftYMm) => shiftYMm !== null && set({ shiftYMm }, say`shift of the grain`)}
      />
      {wood && (
        <LengthField
          small
          label={say`Rings apart`}
          value={grain.spacingMm}
          minMm={0.2}
          maxMm={60}
          clearable
          onCommit={(spacingMm) => set({ spacingMm }, say`distance of the rings`)}
          hint={say`empty: as usual`}
        />
      )}
      {wood && (
        <FigureField
          label={say`Knots`}
          value={grain.knots}
          whole
          min={0}
          max={12}
          onCommit={(knots) => set({ knots: knots ?? 0 }, 'knots')}
        />
      )}
      <Wide>
        <NextRow>
          <Button
            size="small"
            variant="text"
            onClick={() => set({ seed: (grain.seed + 1) % 10000 }, say`another board`)}
          >{say`Another board`}</Button>
        </NextRow>
      </Wide>
    </Fields>
  );
}
