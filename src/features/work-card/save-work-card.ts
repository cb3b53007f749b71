import { cautionsOf, type Foreseen, type Pace } from '@/core/plan';
import { pageSize, paperOf } from '@/core/sheet';
import type { WorkCard } from '@/core/sheet/work-card';
import type { PlanRow } from '@/features/agenda';
import { fileName, saveFile } from '@/features/sheets/save-file';
import type { Agenda, Piece } from '@/records';
import { database, storedPicture } from '@/storage';
import { dated } from '@/ui';
import { batchTitle, sittingWords, stepTitle, type Wording } from '@/words';
import { say } from '@/words/say';
import { pieceCard, textsOf } from './card-of';

const PICTURE_PX = 700;

interface Common {
  now: number;
  units: Wording;
}

/** A piece on one page: picture, sizes, amounts, steps with boxes and hours, cautions. */
export async function saveWorkCard(
  piece: Piece,
  { job, plan }: Pick<Foreseen<Piece>, 'job' | 'plan'>,
  { agenda, pace, now, units }: Common & { agenda: Pick<Agenda, 'starts'>; pace: Pace },
): Promise<void> {
  const card: WorkCard = {
    ...pieceCard(piece, { job, plan }, { starts: agenda.starts, pace, units }),
    picture: await pictureOf(piece),
  };
  const { paper, custom } = piece.sheet;
  await save(say`${piece.name} work card`, [card], pageSize(paperOf(paper, custom), 'portrait'), now);
}

/** A day on one page, in clock order, batches with their pieces. */
export async function saveDayCard(
  rows: readonly PlanRow[],
  plans: ReadonlyMap<string, Pick<Foreseen<Piece>, 'job' | 'plan'>>,
  { now, units }: Common,
): Promise<void> {
  const [first] = rows;
  if (!first) return;
  const day = dated(Math.max(now, first.startAt), 'EEEE d MMM');
  const minutes = rows.reduce((sum, row) => sum + row.minutes, 0);
  const card: WorkCard = {
    title: day,
    under: say`${minutes} min of hands`,
    picture: null,
    facts: [],
    steps: rows.flatMap(({ entries }) =>
      entries.map((entry, at) => {
        const title = stepTitle(entry.step.title);
        const batch =
          at === 0 && entries.length > 1
            ? `${batchTitle(
                entry.step.work,
                entries.map(({ step }) => stepTitle(step.title)),
              )}. `
            : '';
        return {
          when: dated(Math.max(now, entry.startAt), 'HH:mm'),
          text: `${batch}${entry.piece.name}: ${title}${entry.sitting ? `, ${sittingWords(entry.sitting)}` : ''}`,
          time: say`${entry.minutes} min`,
          done: false,
        };
      }),
    ),
    cautions: textsOf(
      rows.flatMap(({ entries }) =>
        entries.flatMap(({ piece, step }) => {
          const plan = plans.get(piece.id);
          return plan ? cautionsOf(step.step, plan.job, plan.plan) : [];
        }),
      ),
    ),
  };
  const paper = paperOf(units.system === 'inch' ? 'letter' : 'a4', { widthMm: 0, heightMm: 0 });
  await save(day, [card], pageSize(paper, 'portrait'), now);
}

async function save(title: string, cards: WorkCard[], paper: ReturnType<typeof pageSize>, now: number): Promise<void> {
  const { workCardsPdf } = await import('@/core/sheet/work-card');
  const bytes = await workCardsPdf({ title, cards, paper, at: new Date(now) });
  saveFile(new Blob([new Uint8Array(bytes)], { type: 'application/pdf' }), fileName(title, 'pdf'));
}

/** The piece's picture, small; null where it has none or it can't be drawn. */
async function pictureOf({ picture: { pictureId } }: Piece): Promise<Uint8Array | null> {
  const stored = pictureId === null ? undefined : await storedPicture(database(), pictureId);
  if (!stored) return null;
  try {
    const bitmap = await createImageBitmap(stored.preview);
    const scale = Math.min(1, PICTURE_PX / Math.max(bitmap.width, bitmap.height));
    const canvas = new OffscreenCanvas(
      Math.max(1, Math.round(bitmap.width * scale)),
      Math.max(1, Math.round(bitmap.height * scale)),
    );
    const context = canvas.getContext('2d');
    if (!context) return null;
    context.fillStyle = '#fff';
    context.fillRect(0, 0, canvas.width, canvas.height);
    context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    bitmap.close();
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
    return new Uint8Array(await blob.arrayBuffer());
  } catch (error) {
    console.error('the card goes without its picture', error);
    return null;
  }
}
