import type { PieceKind } from '../kind';
import { baseUnitKind } from './base-unit';
import { drawerUnitKind } from './drawer-unit';
import { cornerUnitKind } from './corner-unit';
import { sinkBaseKind } from './sink-base';
import { fillerKind } from './filler';
import { worktopKind } from './worktop';
import { islandKind } from './island';
import { wallUnitKind } from './wall-unit';
import { wallCornerKind } from './wall-corner';
import { wallOpenKind } from './wall-open';
import { tallUnitKind } from './tall-unit';
import { tallOvenKind } from './tall-oven';
import { tallFridgeKind } from './tall-fridge';
import { sinkOneKind } from './sink-one';
import { sinkDrainerKind } from './sink-drainer';
import { sinkTwoKind } from './sink-two';
import { hobKind } from './hob';
import { ovenKind } from './oven';
import { rangeKind } from './range';
import { hoodKind } from './hood';
import { fridgeKind } from './fridge';
import { fridgeFreezerKind } from './fridge-freezer';
import { fridgeDoubleKind } from './fridge-double';
import { freezerKind } from './freezer';
import { dishwasherKind } from './dishwasher';
import { microwaveKind } from './microwave';
import { coffeeMachineKind } from './coffee-machine';
import { breakfastBarKind } from './breakfast-bar';
import { wineRackKind } from './wine-rack';
import { trolleyKind } from './trolley';
import { binKind } from './bin';
import { plateRailKind } from './plate-rail';
import { washingMachineKind } from './washing-machine';
import { dryerKind } from './dryer';
import { washerDryerKind } from './washer-dryer';
import { laundrySinkKind } from './laundry-sink';
import { ironingBoardKind } from './ironing-board';
import { airerKind } from './airer';
import { laundryBasketKind } from './laundry-basket';
import { wcKind } from './wc';
import { wcWallHungKind } from './wc-wall-hung';
import { wcFrameKind } from './wc-frame';
import { bidetKind } from './bidet';
import { basinKind } from './basin';
import { basinSmallKind } from './basin-small';
import { vanityKind } from './vanity';
import { vanityDoubleKind } from './vanity-double';
import { bathKind } from './bath';
import { bathFreeKind } from './bath-free';
import { bathCornerKind } from './bath-corner';
import { showerKind } from './shower';
import { showerQuadrantKind } from './shower-quadrant';
import { showerCabinKind } from './shower-cabin';
import { screenKind } from './screen';
import { urinalKind } from './urinal';
import { mirrorCabinetKind } from './mirror-cabinet';
import { towelRailKind } from './towel-rail';
import { grabRailKind } from './grab-rail';
import { bathShelfKind } from './bath-shelf';
import { radiatorKind } from './radiator';
import { radiatorColumnKind } from './radiator-column';
import { radiatorTowelKind } from './radiator-towel';
import { stoveKind } from './stove';
import { masonryStoveKind } from './masonry-stove';
import { fireplaceKind } from './fireplace';
import { boilerKind } from './boiler';
import { cylinderHotKind } from './cylinder-hot';
import { heatPumpKind } from './heat-pump';
import { electricHeaterKind } from './electric-heater';
import { boxingKind } from './boxing';
import { fuseBoxKind } from './fuse-box';
import { sofa2Kind } from './sofa-2';
import { sofa3Kind } from './sofa-3';
import { sofa4Kind } from './sofa-4';
import { cornerSofaKind } from './corner-sofa';
import { sofaBedKind } from './sofa-bed';
import { chaiseKind } from './chaise';
import { armchairKind } from './armchair';
import { wingChairKind } from './wing-chair';
import { rockingChairKind } from './rocking-chair';
import { chairKind } from './chair';
import { chairArmsKind } from './chair-arms';
import { officeChairKind } from './office-chair';
import { stoolKind } from './stool';
import { barStoolKind } from './bar-stool';
import { benchKind } from './bench';
import { benchBackKind } from './bench-back';
import { pouffeKind } from './pouffe';
import { windowSeatKind } from './window-seat';
import { beanBagKind } from './bean-bag';
import { tableKind } from './table';
import { tableSquareKind } from './table-square';
import { tableRoundKind } from './table-round';
import { tableOvalKind } from './table-oval';
import { diningSetKind } from './dining-set';
import { diningSetRoundKind } from './dining-set-round';
import { coffeeTableKind } from './coffee-table';
import { coffeeTableRoundKind } from './coffee-table-round';
import { sideTableKind } from './side-table';
import { consoleKind } from './console';
import { bedsideKind } from './bedside';
import { dressingTableKind } from './dressing-table';
import { barTableKind } from './bar-table';
import { foldingTableKind } from './folding-table';
import { nestTablesKind } from './nest-tables';
import { bedSingleKind } from './bed-single';
import { bedSmallDoubleKind } from './bed-small-double';
import { bedDoubleKind } from './bed-double';
import { bedQueenKind } from './bed-queen';
import { bedKingKind } from './bed-king';
import { bunkBedKind } from './bunk-bed';
import { loftBedKind } from './loft-bed';
import { cotKind } from './cot';
import { dayBedKind } from './day-bed';
import { wallBedKind } from './wall-bed';
import { wardrobeKind } from './wardrobe';
import { wardrobeSlidingKind } from './wardrobe-sliding';
import { wardrobeOpenKind } from './wardrobe-open';
import { drawersKind } from './drawers';
import { sideboardKind } from './sideboard';
import { dresserKind } from './dresser';
import { bookcaseKind } from './bookcase';
import { shelfCubesKind } from './shelf-cubes';
import { shelfStoreKind } from './shelf-store';
import { wallShelfKind } from './wall-shelf';
import { cupboardKind } from './cupboard';
import { displayCabinetKind } from './display-cabinet';
import { shoeCabinetKind } from './shoe-cabinet';
import { coatRackKind } from './coat-rack';
import { coatStandKind } from './coat-stand';
import { chestKind } from './chest';
import { filingCabinetKind } from './filing-cabinet';
import { safeKind } from './safe';
import { builtInKind } from './built-in';
import { builtInLowKind } from './built-in-low';
import { builtInShelvesKind } from './built-in-shelves';
import { builtInDeskKind } from './built-in-desk';
import { deskKind } from './desk';
import { deskCornerKind } from './desk-corner';
import { deskStandingKind } from './desk-standing';
import { secretaryKind } from './secretary';
import { drawingTableKind } from './drawing-table';
import { sewingTableKind } from './sewing-table';
import { cuttingTableKind } from './cutting-table';
import { workbenchKind } from './workbench';
import { tvKind } from './tv';
import { tvBenchKind } from './tv-bench';
import { projectorScreenKind } from './projector-screen';
import { speakerKind } from './speaker';
import { computerKind } from './computer';
import { printerKind } from './printer';
import { pianoUprightKind } from './piano-upright';
import { pianoGrandKind } from './piano-grand';
import { floorLampKind } from './floor-lamp';
import { arcLampKind } from './arc-lamp';
import { tableLampKind } from './table-lamp';
import { ceilingLampKind } from './ceiling-lamp';
import { spotRailKind } from './spot-rail';
import { wallLampKind } from './wall-lamp';
import { rugKind } from './rug';
import { rugRoundKind } from './rug-round';
import { runnerKind } from './runner';
import { doorMatKind } from './door-mat';
import { curtainsKind } from './curtains';
import { blindKind } from './blind';
import { plantKind } from './plant';
import { plantTallKind } from './plant-tall';
import { planterKind } from './planter';
import { vaseKind } from './vase';
import { pictureKind } from './picture';
import { mirrorKind } from './mirror';
import { clockKind } from './clock';
import { aquariumKind } from './aquarium';
import { foldingScreenKind } from './folding-screen';
import { treadmillKind } from './treadmill';
import { exerciseBikeKind } from './exercise-bike';
import { tableTennisKind } from './table-tennis';
import { billiardKind } from './billiard';
import { toyChestKind } from './toy-chest';
import { changingTableKind } from './changing-table';
import { rockingHorseKind } from './rocking-horse';
import { gardenTableKind } from './garden-table';
import { gardenSetKind } from './garden-set';
import { gardenChairKind } from './garden-chair';
import { loungerKind } from './lounger';
import { parasolKind } from './parasol';
import { barbecueKind } from './barbecue';
import { firePitKind } from './fire-pit';
import { treeKind } from './tree';
import { hedgeKind } from './hedge';
import { gardenShedKind } from './garden-shed';
import { hotTubKind } from './hot-tub';
import { carKind } from './car';
import { bicycleKind } from './bicycle';
import { rowingBoatKind } from './rowing-boat';
import { binStoreKind } from './bin-store';
import { swingKind } from './swing';
import { personKind } from './person';
import { personSittingKind } from './person-sitting';
import { childKind } from './child';
import { wheelchairKind } from './wheelchair';
import { pramKind } from './pram';
import { walkerKind } from './walker';
import { dogKind } from './dog';
import { catKind } from './cat';
import { dogBedKind } from './dog-bed';
import { boxKind } from './box';
import { cylinderKind } from './cylinder';
import { postKind } from './post';
import { suitcaseKind } from './suitcase';
import { movingBoxKind } from './moving-box';
import { ladderKind } from './ladder';

/** The catalogue, in the order it is looked through. */
export const PIECE_KINDS: readonly PieceKind[] = [
  baseUnitKind,
  drawerUnitKind,
  cornerUnitKind,
  sinkBaseKind,
  fillerKind,
  worktopKind,
  islandKind,
  wallUnitKind,
  wallCornerKind,
  wallOpenKind,
  tallUnitKind,
  tallOvenKind,
  tallFridgeKind,
  sinkOneKind,
  sinkDrainerKind,
  sinkTwoKind,
  hobKind,
  ovenKind,
  rangeKind,
  hoodKind,
  fridgeKind,
  fridgeFreezerKind,
  fridgeDoubleKind,
  freezerKind,
  dishwasherKind,
  microwaveKind,
  coffeeMachineKind,
  breakfastBarKind,
  wineRackKind,
  trolleyKind,
  binKind,
  plateRailKind,
  washingMachineKind,
  dryerKind,
  washerDryerKind,
  laundrySinkKind,
  ironingBoardKind,
  airerKind,
  laundryBasketKind,
  wcKind,
  wcWallHungKind,
  wcFrameKind,
  bidetKind,
  basinKind,
  basinSmallKind,
  vanityKind,
  vanityDoubleKind,
  bathKind,
  bathFreeKind,
  bathCornerKind,
  showerKind,
  showerQuadrantKind,
  showerCabinKind,
  screenKind,
  urinalKind,
  mirrorCabinetKind,
  towelRailKind,
  grabRailKind,
  bathShelfKind,
  radiatorKind,
  radiatorColumnKind,
  radiatorTowelKind,
  stoveKind,
  masonryStoveKind,
  fireplaceKind,
  boilerKind,
  cylinderHotKind,
  heatPumpKind,
  electricHeaterKind,
  boxingKind,
  fuseBoxKind,
  sofa2Kind,
  sofa3Kind,
  sofa4Kind,
  cornerSofaKind,
  sofaBedKind,
  chaiseKind,
  armchairKind,
  wingChairKind,
  rockingChairKind,
  chairKind,
  chairArmsKind,
  officeChairKind,
  stoolKind,
  barStoolKind,
  benchKind,
  benchBackKind,
  pouffeKind,
  windowSeatKind,
  beanBagKind,
  tableKind,
  tableSquareKind,
  tableRoundKind,
  tableOvalKind,
  diningSetKind,
  diningSetRoundKind,
  coffeeTableKind,
  coffeeTableRoundKind,
  sideTableKind,
  consoleKind,
  bedsideKind,
  dressingTableKind,
  barTableKind,
  foldingTableKind,
  nestTablesKind,
  bedSingleKind,
  bedSmallDoubleKind,
  bedDoubleKind,
  bedQueenKind,
  bedKingKind,
  bunkBedKind,
  loftBedKind,
  cotKind,
  dayBedKind,
  wallBedKind,
  wardrobeKind,
  wardrobeSlidingKind,
  wardrobeOpenKind,
  drawersKind,
  sideboardKind,
  dresserKind,
  bookcaseKind,
  shelfCubesKind,
  shelfStoreKind,
  wallShelfKind,
  cupboardKind,
  displayCabinetKind,
  shoeCabinetKind,
  coatRackKind,
  coatStandKind,
  chestKind,
  filingCabinetKind,
  safeKind,
  builtInKind,
  builtInLowKind,
  builtInShelvesKind,
  builtInDeskKind,
  deskKind,
  deskCornerKind,
  deskStandingKind,
  secretaryKind,
  drawingTableKind,
  sewingTableKind,
  cuttingTableKind,
  workbenchKind,
  tvKind,
  tvBenchKind,
  projectorScreenKind,
  speakerKind,
  computerKind,
  printerKind,
  pianoUprightKind,
  pianoGrandKind,
  floorLampKind,
  arcLampKind,
  tableLampKind,
  ceilingLampKind,
  spotRailKind,
  wallLampKind,
  rugKind,
  rugRoundKind,
  runnerKind,
  doorMatKind,
  curtainsKind,
  blindKind,
  plantKind,
  plantTallKind,
  planterKind,
  vaseKind,
  pictureKind,
  mirrorKind,
  clockKind,
  aquariumKind,
  foldingScreenKind,
  treadmillKind,
  exerciseBikeKind,
  tableTennisKind,
  billiardKind,
  toyChestKind,
  changingTableKind,
  rockingHorseKind,
  gardenTableKind,
  gardenSetKind,
  gardenChairKind,
  loungerKind,
  parasolKind,
  barbecueKind,
  firePitKind,
  treeKind,
  hedgeKind,
  gardenShedKind,
  hotTubKind,
  carKind,
  bicycleKind,
  rowingBoatKind,
  binStoreKind,
  swingKind,
  personKind,
  personSittingKind,
  childKind,
  wheelchairKind,
  pramKind,
  walkerKind,
  dogKind,
  catKind,
  dogBedKind,
  boxKind,
  cylinderKind,
  postKind,
  suitcaseKind,
  movingBoxKind,
  ladderKind,
];
