/** One line in a lesson file, a time; it plays as the chain of thought that {@link explain} generates from it. */
export interface WorkedExampleBeat {
  readonly kind: 'worked-example';
  readonly timeSec: number;
}
