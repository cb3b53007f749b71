/**
 * The tool for the spot, and what its paper looks like while it is wetted and rubbed. Source: bench practice. Never a
 * scouring pad, whatever stays.
 */
import type { Removal } from '@/core/craft';
import type { WorkMap } from './work-map';

export type SpotId = 'everywhere' | 'dark' | 'even-light' | 'edge' | 'weave' | 'stubborn' | 'island';
export type SpotToolId = 'fingertip' | 'soft-brush' | 'dry-fingertip' | 'flat-finger' | 'damp-cloth' | 'craft-knife';

export interface SpotTool {
  spot: SpotId;
  tool: SpotToolId;
  applies: (map: WorkMap, removal: Removal) => boolean;
}

const has = (map: WorkMap, kind: WorkMap['kinds'][number]) => map.kinds.includes(kind);

const SPOT_TOOLS: readonly SpotTool[] = [
  { spot: 'everywhere', tool: 'fingertip', applies: () => true },
  { spot: 'dark', tool: 'damp-cloth', applies: (map, removal) => removal === 'rub' && has(map, 'haze-stays') },
  { spot: 'even-light', tool: 'dry-fingertip', applies: (map) => has(map, 'feel-here') },
  { spot: 'edge', tool: 'flat-finger', applies: ({ goesFirst }) => goesFirst.includes('edges') },
  {
    spot: 'weave',
    tool: 'soft-brush',
    applies: ({ goesFirst }) =>
      goesFirst.some((place) => place === 'weave' || place === 'hollows' || place === 'grain'),
  },
  { spot: 'stubborn', tool: 'soft-brush', applies: () => true },
  { spot: 'island', tool: 'craft-knife', applies: (_, removal) => removal === 'peel-and-roll' },
];

export const toolsFor = (map: WorkMap, removal: Removal): SpotTool[] =>
  SPOT_TOOLS.filter(({ applies }) => applies(map, removal));
