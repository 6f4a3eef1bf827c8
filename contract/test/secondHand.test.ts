import { describe, expect, it } from 'vitest';
import { quantityOf, type Part } from '@rough-gear/core';
import { secondHandOf } from '../src/shelf/index.js';

const NEW: Part = {
  kind: 'breaker',
  name: 'snap breaker 40 A',
  type: 'snap',
  owned: 3,
  price: quantityOf(9, '9'),
};

describe('a part bought used', () => {
  it('costs half, says so, and is not the one that is owned', () => {
    expect(secondHandOf(NEW)).toEqual({
      kind: 'breaker',
      name: 'snap breaker 40 A, second-hand',
      type: 'snap',
      secondHand: true,
      price: { si: 4.5, as: '4.5', source: 'typical' },
    });
  });

  it('has no price where the new one has none, and a name that still fits', () => {
    const { price: _price, ...free } = NEW;
    expect(secondHandOf(free)).not.toHaveProperty('price');
    expect(secondHandOf({ ...NEW, name: 'x'.repeat(120) }).name.length).toBeLessThanOrEqual(120);
  });
});
