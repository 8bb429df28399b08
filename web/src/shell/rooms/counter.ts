/** The counter’s stages after the tray, and the page of a part. Fetched together: a screen is many small files, and each of them a call. */
export { SetUpStage } from '../../set-up/set-up-stage.tsx';
export { HandOverStage } from '../../hand-over/hand-over-stage.tsx';
export { OldPartsStage } from '../../old-parts/old-parts-stage.tsx';
export { BeginInspection } from '../../authenticity/begin-inspection.tsx';
export { ProofStage } from '../../authenticity/proof-stage.tsx';
export { PartPage } from '../../part/part-page.tsx';
