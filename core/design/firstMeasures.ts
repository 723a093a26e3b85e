/** What a builder measures before anything can be computed; mm unless the name says otherwise. */
export type FirstMeasures = {
  readonly floorLengthMm: number;
  readonly floorWidthMm: number;
  readonly floorThicknessMm: number;
  /** From the finished floor down to the ground; on a boat down to the underside of the keel. */
  readonly groundBelowMm: number;
  /** From the finished floor down to the sills; null where there are none. */
  readonly sillBelowMm: number | null;
  /** From the finished floor up (positive) or down to the waterline; null on land. */
  readonly waterlineMm: number | null;
  /** Sink outlet: from the rear edge of the floor, left of the centre line, over the floor. */
  readonly sinkForwardMm: number;
  readonly sinkLeftMm: number;
  readonly sinkHeightMm: number;
  /** Inside of the tank, and where its rear right bottom corner is. */
  readonly tankLengthMm: number;
  readonly tankWidthMm: number;
  readonly tankHeightMm: number;
  /** Null where its place is still to be chosen. */
  readonly tankForwardMm: number | null;
  readonly tankLeftMm: number | null;
  /** From the finished floor down to the top of the tank. */
  readonly tankTopBelowMm: number;
  readonly people: number;
  readonly sinkLPerPersonDay: number;
  readonly freshL: number;
};
