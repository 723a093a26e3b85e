import fc from "fast-check";

/** The same random inputs at every run, so that a red test is a changed program. `FC_SEED=$RANDOM` looks further. */
fc.configureGlobal({ seed: Number(process.env["FC_SEED"] ?? 20_260_901) });
