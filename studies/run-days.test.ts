import { expect, it } from 'vitest';
import { distances, season } from './run-days';

it('after eight runs a strange place is known better than before any, through the whole fit', () => {
  const seasons = Array.from({ length: 12 }, (_, i) => season(100 + i, 8, [8], { unpaidAtHome: 0.3 }));
  const { place, placeAssumed } = distances(seasons, 8);
  expect(place).toBeLessThan(placeAssumed);
});

it('what is thought of the chance moves with the runs: a season of bad ones lowers it', () => {
  const seasons = Array.from({ length: 6 }, (_, i) => season(300 + i, 3, [], { forecasts: true }));
  const said = seasons.flatMap((one) => one.said);
  expect(said.every(({ taught, assumed }) => taught > 0 && taught < 1 && assumed > 0 && assumed < 1)).toBe(
    true,
  );
  expect(said.some(({ taught, assumed }) => Math.abs(taught - assumed) > 0.01)).toBe(true);
});
