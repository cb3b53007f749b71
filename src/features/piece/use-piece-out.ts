import { foresee } from '@/core/plan';
import { useStash } from '@/features/at-hand';
import { useNotice, useReport } from '@/features/shell';
import { newId } from '@/features/shell/ids';
import { fileName } from '@/features/sheets/save-file';
import { EMPTY_AGENDA, picturesOf, pieceLike } from '@/records';
import { addPieces, database, purgePiece, storedAgenda, storedPictures, type BundledPicture } from '@/storage';
import { useClock, useUnits } from '@/ui';
import { say } from '@/words/say';
import { useOpenPiece } from './piece-context';

/** What is made of the open piece: its bundle, a card for the bench, a template. */
export function usePieceOut() {
  const { piece, plan, picture } = useOpenPiece();
  const { atHand } = useStash();
  const units = useUnits();
  const notice = useNotice();
  const report = useReport();
  const clock = useClock();
  const exportBundle = async (give: (blob: Blob, name: string) => unknown) => {
    const stored = await storedPictures(database(), picturesOf(piece));
    const missing = picturesOf(piece).length - stored.length;
    const pictures = await Promise.all(
      stored.map(async ({ file, preview: _preview, ...record }): Promise<BundledPicture> => ({
        record,
        bytes: new Uint8Array(await file.arrayBuffer()),
      })),
    );
    const { writeBundle } = await import('@/storage/bundle');
    const bundle = await writeBundle(piece, pictures);
    if (!bundle.ok) return void report(bundle);
    await give(new Blob([bundle.value], { type: 'application/zip' }), fileName(piece.name, 'fobbet.zip'));
    if (missing > 0)
      notice({
        text:
          missing === 1
            ? say`One picture of ${piece.name} can’t be found in this browser: the bundle was saved without.`
            : say`${missing} pictures of ${piece.name} can’t be found in this browser: the bundle was saved without.`,
        tone: 'error',
      });
  };
  const workCard = async () => {
    const stored = await storedAgenda(database());
    const { saveWorkCard } = await import('@/features/work-card/save-work-card');
    const agenda = stored.ok ? stored.value : EMPTY_AGENDA;
    const foreseen = foresee(piece, picture, clock(), atHand, plan);
    await saveWorkCard(piece, foreseen, { agenda, pace: atHand.pace, now: clock(), units });
  };
  const keepAsTemplate = async () => {
    const like = pieceLike(piece, { id: newId(), name: piece.name, now: clock(), withoutPicture: false });
    if (!report(await addPieces(database(), [{ ...like, dueOn: null, template: true }]))) return;
    notice({
      text: say`${piece.name} is a template too: new pieces begin from it at Pieces.`,
      tone: 'success',
      action: { label: say`Undo`, run: () => void purgePiece(database(), like.id).then(report) },
    });
  };
  return { exportBundle, workCard, keepAsTemplate };
}
