import { Injectable } from '@angular/core';
import { designInWorker } from './designing';

/** Chooses sets of questions: a service, so that what uses it can be tested where there are no workers. */
@Injectable({ providedIn: 'root' })
export class Designer {
  readonly design = designInWorker;
}
