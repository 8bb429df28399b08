/** Sums, the garage book, people and the shop itself. Fetched together: a screen is many small files, and each of them a call. */
export { SparkPage } from '../../sums/spark-page.tsx';
export { FeelersPage } from '../../sums/feelers-page.tsx';
export { TorquePage } from '../../sums/torque-page.tsx';
export { WearPage } from '../../sums/wear-page.tsx';
export { ConvertPage } from '../../sums/convert-page.tsx';
export { VehiclesPage } from '../../garage/vehicles-page.tsx';
export { DuePage } from '../../garage/due-page.tsx';
export { LoansPage } from '../../garage/loans-page.tsx';
export { WorkPage } from '../../work/work-page.tsx';
export { PeoplePage } from '../../session/people-page.tsx';
export { ShopPage } from '../../shop/shop-page.tsx';
export { DrillPage } from '../../drill/drill-page.tsx';
export { HelpPage } from '../../help/help-page.tsx';
export { HouseRulesPage } from '../../house-rules/house-rules-page.tsx';
