import { expect, it } from 'vitest';
import { TOOLS } from '../src/drawn/tools';
import { HOW_TO } from '../src/help/how_to';

it('shows the handwork of every stage in three to five drawn beats', () => {
  expect(Object.keys(HOW_TO)).toHaveLength(9);
  for (const [stage, { beats }] of Object.entries(HOW_TO)) {
    expect(beats.length, stage).toBeGreaterThanOrEqual(3);
    expect(beats.length, stage).toBeLessThanOrEqual(5);
    for (const { drawing, says } of beats) {
      expect(TOOLS[drawing], `${stage}: ${drawing}`).toBeDefined();
      expect(says.split(' ').length, says).toBeLessThanOrEqual(20);
    }
  }
});
