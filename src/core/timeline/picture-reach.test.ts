import { expect, it } from "vitest";
import { pictureReach } from "./picture-reach";

it.each<[number, number, { screen: boolean; paperCm: number; poster: boolean }]>([
  [640, 400, { screen: false, paperCm: 8, poster: false }],
  [720, 400, { screen: true, paperCm: 9, poster: false }],
  // Upright: its height counts.
  [400, 900, { screen: true, paperCm: 11, poster: false }],
  [909, 600, { screen: true, paperCm: 11, poster: false }],
  [910, 600, { screen: true, paperCm: 11, poster: true }],
  [4000, 3000, { screen: true, paperCm: 50, poster: true }],
])("%i x %i px", (width, height, reach) => expect(pictureReach(width, height)).toEqual(reach));
