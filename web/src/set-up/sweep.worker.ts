import { sweepBoost, type SweepAsked, type SweptBoost } from '@brackenfell/core/spark-demand/boost-sweep';

/** So many boosts are told at a time: the page draws while the rest is reckoned. */
const AT_A_TIME = 10;

addEventListener('message', ({ data }: MessageEvent<SweepAsked>) => {
  let told: SweptBoost[] = [];
  for (const one of sweepBoost(data)) {
    told.push(one);
    if (told.length === AT_A_TIME) {
      postMessage(told);
      told = [];
    }
  }
  postMessage(told);
  postMessage(null);
});
