import type { Crop } from '@/core/picture';
import type { SheetLayout } from '@/core/sheet';
import type { SheetText } from '@/core/sheet/pdf';
import type { Result } from '@/core/shared';

export interface SheetOrder { file: Blob; crop: Crop; layout: SheetLayout; text: SheetText }

export type SheetCode = 'picture-broken' | 'crop-empty' | 'sheet-failed';

/** The finished PDF, transferred: the receiver owns its buffer. */
export interface SheetJob { make(order: SheetOrder, onProgress: (share: number) => void): Promise<Result<Uint8Array<ArrayBuffer>, SheetCode>> }
