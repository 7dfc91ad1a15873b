/** Reads the marks of a picture beside the interface. Nothing leaves the device. */
import { loadGraphModel, type GraphModel } from '@tensorflow/tfjs-converter';
import { tensor4d, tidy, type Tensor } from '@tensorflow/tfjs-core';
import { brightnessOf, evenLight } from '@/core/plumb/light';
import { tiltOfEdges, type GreyPicture } from '@/core/plumb/tilt';
import type { Pixel } from '@/core/plumb/marks';
import { detectorSidePx, readDetection, wholeCrop } from '@/core/plumb/detection';
import {
  besideCrop,
  hasOthersBeside,
  isSamePerson,
  isSure,
  marksOfLook,
  marksOfLooks,
  modelPoints,
  modelSidePx,
  nextCrop,
  scoreOf,
  toPicturePixel,
  type Crop,
  type Look,
  type ReadMarks,
} from '@/core/plumb/reader';
import { checkCounted, startBackend, type RunsOn } from './readerBackend';

export interface MarksQuestion {
  readonly id: number;
  readonly image: ImageBitmap;
  /** One of a row: looked at once, round whoever was seen in the last one of it. */
  readonly row?: 'begins' | 'goes-on';
}

/** Nothing to read yet: the model is fetched while somebody looks for their picture. */
export interface MarksWarning {
  readonly kind: 'soon';
}

export type MarksAnswer =
  | {
      readonly kind: 'read';
      readonly id: number;
      readonly marks: ReadMarks;
      readonly milliseconds: number;
      readonly runsOn: RunsOn;
      /** Somebody else is in the picture as well. */
      readonly hasOthers: boolean;
    }
  | { readonly kind: 'nobody'; readonly id: number }
  | { readonly kind: 'failed'; readonly id: number };

const say = (answer: MarksAnswer) => self.postMessage(answer);
const files = `${self.location.origin}/plumb/reader/`;

async function fetchFile(name: string): Promise<Response> {
  const response = await fetch(files + name);
  if (!response.ok) throw new Error(`${name}: ${response.status}`);
  return response;
}

interface Loaded {
  readonly runsOn: RunsOn;
  readonly detector: GraphModel;
  readonly landmarks: GraphModel;
  /** Names of what comes out of the landmark model. */
  readonly presenceName: string;
  readonly pointsName: string;
}

/** What a model is made of, as its files say it. */
async function fetchModel(name: string) {
  const [json, weights] = await Promise.all([
    fetchFile(`${name}.json`).then((one) => one.json()),
    fetchFile(`${name}.bin`).then((one) => one.arrayBuffer()),
  ]);
  return { json, weights };
}

async function buildModel({ json, weights }: Awaited<ReturnType<typeof fetchModel>>) {
  const model = await loadGraphModel({
    load: () =>
      Promise.resolve({
        modelTopology: json.modelTopology,
        weightSpecs: json.weightsManifest.flatMap((one: { weights: unknown[] }) => one.weights),
        weightData: weights,
        format: json.format,
        signature: json.signature,
      }),
  });
  return { model, outputs: json.signature.outputs as Readonly<Record<string, { name: string }>> };
}

async function load(mayUseGraphics: boolean): Promise<Loaded> {
  // On their way while the machine for them is made.
  const fetched = Promise.all([fetchModel('blazepose-detector'), fetchModel('blazepose-full')]);
  // Whatever stops before they are there says so itself.
  fetched.catch(() => undefined);
  const runsOn = await startBackend(files, mayUseGraphics);
  const [ofDetector, ofLandmarks] = await fetched;
  const detector = await buildModel(ofDetector);
  const landmarks = await buildModel(ofLandmarks);
  return {
    runsOn,
    detector: detector.model,
    landmarks: landmarks.model,
    presenceName: landmarks.outputs['output_poseflag']!.name,
    pointsName: landmarks.outputs['ld_3d']!.name,
  };
}

/** Something was to be read: it is not kept waiting any more. */
let isAsked = false;

/** The first run of a model lays out its weights, which takes as long again: while nobody waits for it. */
function warmUp({ detector, landmarks, presenceName, pointsName }: Loaded): void {
  if (isAsked) return;
  const emptyOf = (side: number) => tensor4d(new Float32Array(side * side * 3), [1, side, side, 3]);
  tidy(() => {
    detector.execute(emptyOf(detectorSidePx));
    landmarks.execute(emptyOf(modelSidePx), [presenceName, pointsName]);
  });
}

interface Found {
  readonly marks: ReadMarks | null;
  readonly hasOthers: boolean;
}

/** Graphics that failed once are left alone. */
let mayUseGraphics = true;
let loaded: Promise<Loaded> | null = null;

/** The models, fetched and laid out once. */
const loadOnce = (): Promise<Loaded> => (loaded ??= load(mayUseGraphics));
const chance = (logit: number) => 1 / (1 + Math.exp(-logit));
/** Numbers of one point: x, y, depth, visibility, presence. */
const perPoint = 5;

/** A square of the picture at the model's own size, as numbers between two bounds. */
function cutOut(
  image: ImageBitmap,
  { centre, sidePx, turnDeg }: Crop,
  side: number,
  [low, high]: readonly [number, number],
): Float32Array {
  const context = new OffscreenCanvas(side, side).getContext('2d', { willReadFrequently: true })!;
  context.fillStyle = '#808080';
  context.fillRect(0, 0, side, side);
  context.imageSmoothingQuality = 'high';
  context.translate(side / 2, side / 2);
  context.scale(side / sidePx, side / sidePx);
  context.rotate((-turnDeg * Math.PI) / 180);
  context.translate(-centre[0], -centre[1]);
  context.drawImage(image, 0, 0);
  const { data } = context.getImageData(0, 0, side, side);
  const lit = evenLight(data);
  const values = new Float32Array(side * side * 3);
  for (let from = 0, to = 0; from < data.length; from += 4, to += 3) {
    for (let colour = 0; colour < 3; colour += 1) {
      values[to + colour] = low + (lit[data[from + colour]!]! / 255) * (high - low);
    }
  }
  return values;
}

/** Small enough that an edge is an edge and grain is none, pixels. */
const greySidePx = 640;

function toGrey(image: ImageBitmap): GreyPicture {
  const share = Math.min(1, greySidePx / Math.max(image.width, image.height));
  const [width, height] = [Math.round(image.width * share), Math.round(image.height * share)];
  const context = new OffscreenCanvas(width, height).getContext('2d', {
    willReadFrequently: true,
  })!;
  context.imageSmoothingQuality = 'high';
  context.drawImage(image, 0, 0, width, height);
  const { data } = context.getImageData(0, 0, width, height);
  const grey = new Uint8Array(width * height);
  for (let index = 0; index < grey.length; index += 1) {
    grey[index] = brightnessOf(data, index * 4);
  }
  return { width, height, data: grey };
}

async function detect(image: ImageBitmap, square: Crop, { detector, runsOn }: Loaded) {
  const values = cutOut(image, square, detectorSidePx, [-1, 1]);
  const found = tidy(
    () => detector.execute(tensor4d(values, [1, detectorSidePx, detectorSidePx, 3])) as Tensor,
  );
  const numbers = await found.data();
  found.dispose();
  checkCounted(runsOn, numbers);
  return readDetection(numbers, square);
}

async function lookAt(image: ImageBitmap, crop: Crop, tools: Loaded): Promise<Look> {
  const values = cutOut(image, crop, modelSidePx, [0, 1]);
  const [flag, points] = tidy(
    () =>
      tools.landmarks.execute(tensor4d(values, [1, modelSidePx, modelSidePx, 3]), [
        tools.presenceName,
        tools.pointsName,
      ]) as Tensor[],
  );
  const [presence, numbers] = await Promise.all([flag!.data(), points!.data()]);
  flag!.dispose();
  points!.dispose();
  checkCounted(tools.runsOn, presence, numbers);
  return {
    crop,
    presence: presence[0]!,
    points: Array.from({ length: modelPoints }, (_, index) => {
      const at = index * perPoint;
      const [x, y] = toPicturePixel(crop, [numbers[at]!, numbers[at + 1]!]);
      return { x, y, visibility: chance(numbers[at + 3]!) };
    }),
  };
}

/**
 * The picture as it is and turned over: two looks at one person are compared. Where they are at
 * different things the better one is kept, and looked at again from a little beside.
 */
async function read(image: ImageBitmap): Promise<Found> {
  const tools = await loadOnce();
  const looks: Look[] = [];
  const others: Pixel[] = [];
  for (const turnDeg of [0, 180]) {
    const detection = await detect(image, wholeCrop(image, turnDeg), tools);
    others.push(...detection.others);
    const { crop } = detection;
    if (crop.sidePx > 0) looks.push(await lookAt(image, crop, tools));
  }
  const [best, second] = looks.filter(isSure).sort((a, b) => scoreOf(b) - scoreOf(a));
  if (best === undefined) return { marks: null, hasOthers: false };
  const marks = marksOfLooks(
    [
      best,
      second !== undefined && isSamePerson(best, second)
        ? second
        : await lookAt(image, besideCrop(best.crop), tools),
    ],
    image,
  );
  if (marks === null) return { marks, hasOthers: false };
  return {
    marks: { ...marks, tiltDeg: tiltOfEdges(toGrey(image)) },
    hasOthers: hasOthersBeside(marks, others),
  };
}

/** Who was seen in the last picture of a row. */
let last: Look | null = null;

/** Pictures of a row whose level edges are looked for: the camera moves little after that. */
const tiltEvery = 10;
let inRow = 0;

/** One look where somebody was just now; whoever is lost there is looked for anew. */
async function readNext(image: ImageBitmap): Promise<Found> {
  const tiltDeg = inRow % tiltEvery === 0 ? tiltOfEdges(toGrey(image)) : null;
  inRow += 1;
  const { marks, hasOthers } = await follow(image);
  return { marks: marks && { ...marks, tiltDeg }, hasOthers };
}

async function follow(image: ImageBitmap): Promise<Found> {
  const tools = await loadOnce();
  const again = last === null ? null : await lookAt(image, nextCrop(last), tools);
  if (again !== null && isSure(again)) {
    last = again;
    return { marks: marksOfLook(again, image), hasOthers: false };
  }
  last = null;
  for (const turnDeg of [0, 180]) {
    const { crop } = await detect(image, wholeCrop(image, turnDeg), tools);
    if (crop.sidePx <= 0) continue;
    const look = await lookAt(image, crop, tools);
    if (isSure(look) && (last === null || scoreOf(look) > scoreOf(last))) last = look;
  }
  return { marks: last === null ? null : marksOfLook(last, image), hasOthers: false };
}

self.addEventListener('message', async ({ data }: MessageEvent<MarksQuestion | MarksWarning>) => {
  if ('kind' in data) {
    // What is wrong with it is said when something is to be read.
    loadOnce()
      .then(warmUp)
      .catch(() => (loaded = null));
    return;
  }
  isAsked = true;
  const { id, image, row } = data;
  const began = performance.now();
  try {
    if (row === 'begins') {
      last = null;
      inRow = 0;
    }
    const look = () => (row === undefined ? read(image) : readNext(image));
    const { marks, hasOthers } = await look().catch((problem: unknown) => {
      // Without graphics it may still be read.
      if (!mayUseGraphics) throw problem;
      mayUseGraphics = false;
      loaded = null;
      return look();
    });
    const { runsOn } = await loadOnce();
    const milliseconds = performance.now() - began;
    if (marks === null) say({ kind: 'nobody', id });
    else say({ kind: 'read', id, marks, hasOthers, milliseconds, runsOn });
  } catch {
    // A browser without WebAssembly, or files that are not there: the manual way is left.
    loaded = null;
    say({ kind: 'failed', id });
  } finally {
    image.close();
  }
});
