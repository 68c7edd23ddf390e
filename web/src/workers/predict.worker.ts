import * as Comlink from 'comlink';
import { predictPath, type Path, type PathLink, type PathPrediction } from '@urvek/core';

const api = {
  predict: (path: Path, links: readonly PathLink[]): PathPrediction[] =>
    links.map((link) => predictPath(path, link)),
};

export type PredictWorker = typeof api;
Comlink.expose(api);
