import type { Body } from '../../body/body';
import { legLengthM } from '../../posture/pose';

/** The furthest an L closes with the feet level with the hips: legs out straight, metres. */
export const ellReachM = (body: Body, armM: number): number =>
  armM + body.lengths.trunk + legLengthM(body) + body.ankleM;
