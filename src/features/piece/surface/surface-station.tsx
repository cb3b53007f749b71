'use client';
import { LEAST_COHERENCE } from '@/core/picture';
import { Because, Note, Part, useUnits } from '@/ui';
import { SURFACE_WORDS } from '@/words';
import { say } from '@/words/say';
import { DisagreementNotes } from '../disagreement-notes';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationCautions } from '../station-cautions';
import { StationLayout } from '../station-layout';
import { useFindings } from '../use-analysis';
import { PreparePart } from './prepare-part';
import { GrainFields } from './grain-fields';
import { SurfaceAnswer } from './surface-answer';
import { SurfaceFields } from './surface-fields';
import { surfaceReasons } from './surface-reasons';
import { SurfaceSpecimen } from './surface-specimen';
import { TracePart } from './trace-part';

export function SurfaceStation() {
  const { piece, plan } = useOpenPiece();
  const units = useUnits();
  const { analysis } = useFindings();
  const { record, blank } = plan.surface;
  const isDirected = analysis !== null && analysis.direction.coherence >= LEAST_COHERENCE;
  const angleDeg = Math.round(piece.surface.grain.angleDeg);
  return (
    <StationLayout
      station="surface"
      answer={<SurfaceAnswer />}
      onward={<NextLink station="method" />}
      specimen={<SurfaceSpecimen />}
    >
      {record && <Note>{SURFACE_WORDS[record.id].advice}</Note>}
      <Because reasons={surfaceReasons(piece, plan, units)} />
      <SurfaceFields />
      <TracePart analysis={analysis} />
      {record && blank && (
        <Part
          title={say`How it lies`}
          folded={angleDeg === 0 ? say`grain along the width` : say`grain at ${angleDeg}°`}
        >
          <GrainFields proposedDeg={isDirected ? Math.round(analysis.direction.angleDeg) : null} />
        </Part>
      )}
      <PreparePart />
      <DisagreementNotes at="surface" />
      <MissingList station="surface" />
      <StationCautions station="surface" />
    </StationLayout>
  );
}
