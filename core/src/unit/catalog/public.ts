import { entryFor, isFeatureKey, isSpecKey, isStationKey } from './catalog.ts';
import type { FeatureKey, SpecKey } from './entries/index.ts';

/**
 * What may be put before somebody outside the yard, on a screen or in a public page: nothing that is not in this list.
 * Station by station: what anybody sees or reads on the unit itself. Left out are prices, papers, numbers of the chassis, who
 * inspected, and whatever is free text, where anything may be typed.
 */
const listed = `
  ballSize couplerRating jackRating lpCylinders batteryKind batteryCharge batteryVolts batteryWiring batteryPlace
  frontTrayLimit coupler safetyChains breakaway plug7way plugHolder junctionBox tongueJack powerJack jackOverride
  jackLight jackLevel battery batteryVent batteryCutoff cylinderCover coverLid changeover frontTray
  pressureRepeater weightDistribution swayControl

  frontThickness frontShape frontCap windshield windshieldCover rockGuard dockingLights frontDecals

  passThroughSize storeDoorSize storeDoorThickness storeFinish passThrough storeClear storeLight heatedStore
  insulatedDoors slamLatch doorHoldOpen underBedAccess waterPanel bikeOrKayakStore

  awningLength awningWindLimit awningKind solarPortAmps lpQuickPressure awning awningPower awningLight awningPitch
  awningSensor awningSupports secondAwning speakers porchLight outsideOutlet tvBracket solarPort furnaceVent
  rangeVent lpQuick leashRing bottleOpener sideReceiver petWindow

  stepCount stepRating floorHeight doorSize entryDoor frictionHinge doorGlass doorShade screenDoor secondDoor
  steps solidSteps stepAbove stepFeet stepLight grabHandle keylessEntry featureLabels

  outsideKitchenKind outsideCookerFuel outsideFridgeSize outsideFridgePower outsideSinkDrain outsideKitchen
  outsideCooker outsideSink outsideFridge outsideStorage outsideWaterPort outsidePumpSwitch bumperGrill

  chassisKind axleRating suspensionKind brakeKind wheelSize wheelMaterial wheelBolts lugTorque tyreSize loadRange
  tyreLoad coldPressure capPressure tyreTread groundClearance outriggers backingPlates crossMembers shocks
  rubberEqualiser selfAdjustingBrakes greasableHubs neverLubeHubs tyreMonitor pressureCaps wheelWells liftKit
  wideStance spare

  underbellyMaterial tankHeatPower stabiliserCount enclosedBelly bellyHeat bellyInsulation tankHeat heatedLines
  valvesInside lowPointDrains wallArmour stabilisers powerStabilisers levellingSystem

  rearRackRating rearReceiverRating rearDoorSize bumper bumperHose rearRack rearReceiver spareCarrier ladder
  rearCamera sideCameras rearDoor gutterSpouts ledLights turnRepeaters rearStabiliserReach

  shoreAmps cordLength freshTank grayTank galleyTank blackTank heaterTank heaterKind heaterFuel heaterGas
  heaterElement dumpOutletCount slideMechanism slideHeight shoreInlet detachableCord inletLights cityWater
  freshFill freshOverflow freshDrain blackFlush dumpOutlet galleyOutlet valveHandles toteDrain outsideShower
  waterHeater heaterBypass reliefValve winteriseKit cableInlet fridgeVents dockingCabinet cordStorage
  surgeProtector slide secondSlide thirdSlide slideTopper

  buildDate gvwr uvw uvwCounts ccc labelWater hitchWeight labelTyreSize labelLoadRange vinLabel weightLabel
  tyreLabel industrySeal labelPhotos weightCorrection

  roofMembrane roofDecking trussSpacing sealsChecked acUnits fanFlow roofRackRating solarPanels solarShortCircuit
  walkableRoof crownedRoof acDucted acSoftStart acQuickDump secondAc roofFan fanReversible fanLidClosed
  fanRainSensor ventCovers roofVent skylight solar antenna roofRack wifiExtender

  overallLength boxLength width heightWithAc insideHeight wallKind wallThickness wallFraming studSpacing skinKind
  substrateKind bondingKind laminatedFaces insulationKind wallR roofR floorR slideR floorDeck cabinetKind
  windowFrame windowsDoor windowsOffDoor windowsFront windowsRear windowsSlide windowOpeningDoor
  windowOpeningOffDoor windowOpeningFront windowOpeningRear windowOpeningSlide windowPanesDoor windowPanesOffDoor
  windowPanesFront windowPanesRear windowPanesSlide weldedFrame openingFrames unibody cabinetJoinery doublePane
  fourSeasonLabel exteriorGloss

  controllerAmps controllerKind controllerSetting thermostatKind monitorPanel tankPercent pumpSwitch slideSwitch
  awningSwitch heaterSwitches tankHeatSwitch appControl solarController antennaBooster soundSystem dimmableLights
  nightLight batteryMonitor

  counterMaterial counterSize sinkKind faucetKind burnerCount fridgeSize fridgeKind fridgeAmbient drawerCount
  drawerRating counterExtension counterEdge sinkCover waterFilter cooktop gasOven microwave convection rangeHood
  fridge fridgeLatch pantry drawerGuides kitchenOutlets powerShare dishwasher coffeeStation

  dinetteKind tableKind dinetteBed sofaKind sofaBed tvSize tvVoltage fireplaceHeat flooringCold flooringKind
  sleeps tableSeats dinetteConverts dinetteStorage sofaConverts theatreSeats tv tvMount tvSightLines fireplace
  shades slideFlooring overheadStorage usbOutlets petStation desk

  bedSize bedName bedDirection bedKind underBedKind bedClearance walkAroundBed bedStruts nightstands wardrobe
  bedsideOutlets cpapShelf bedroomDoor bedroomTv readingLights laundryChute washerPrep mattressGood

  bunkCount bunkSize bunkRating bunkHeadroom bunks bunkLadder bunkRail bunkLifts bunkDoor bunkLights bunkOutlets
  bunkWindow bunkCurtain secondRoom

  bathLayout showerKind showerSize showerHeight tubThreshold toiletMaterial toiletFlush toiletWidth toilet shower
  waterSaver bathSkylight bathFan bathDoorOutside bathSecondWay showerDoor showerSeat medicineCabinet linenCloset
  bathSink

  furnace heatPath heatOutlets converterAmps converterSetting inverterWatts solarAllowance breakerCount
  furnaceFitted heatPump heatStrip hydronicHeat converter lithiumReady inverter fusePanel solarWiring chargeLine
  generatorPrep transferSwitch centralVacuum ceilingFan

  extinguisherClass extinguisherDate smokeAlarmDate coAlarmDate lpDetectorDate alarmPower extinguisher lpDetector
  coAlarm egress gfci gasShutOff

  garageLength garageHeight garageWidth tieDowns tieDownsInto rampRating tipOutRating tipOutSize gearSpace ramp
  rampPatio fuelVents fuelStation tipOutBeds tipOutSupports garageBenches garageFloor

  fittedWeight sewerHose sewerHoseThere powerCordThere adapter3015 waterHose pressureRegulator cranks gasHose
  looseGrill windshieldCoverLoose spareCushions fridgeBracket wheelChocks keys manuals filledCylinders starterKit

  series floorPlan modelYear condition warrantyWhole warrantyStructure warrantyRoof openRecall serviceRecord
  titleClear`;

const publicKeys: ReadonlySet<string> = new Set(listed.split(/\s+/).filter(Boolean));

/** Whether a spec or a feature may be shown to anybody. */
export const isPublic = (key: SpecKey | FeatureKey): boolean => publicKeys.has(key);

/** All that may be shown to anybody; a test holds it to the catalogue. */
export const publicEntries: readonly string[] = [...publicKeys];

/**
 * Whether what a card or a photo is about may be shown to anybody.
 * @example isPublicTarget('specs.vin') // false
 */
export const isPublicTarget = (target: string): boolean => {
  const [part = '', key = ''] = target.split('.');
  if (part === 'stations') return isStationKey(key) && key !== 'papers';
  // A fault is told before anything else.
  if (part === 'findings') return true;
  const isOf = part === 'specs' ? isSpecKey(key) : part === 'features' && isFeatureKey(key);
  return isOf && publicKeys.has(key);
};

/** What a card or a photo is about, in the catalogue's own words; undefined for what only the yard may see. */
export const publicLabel = (target: string): string | undefined => {
  const [part = '', key = ''] = target.split('.');
  const isEntry = part === 'specs' || part === 'features';
  return isEntry && isPublicTarget(target) ? entryFor(key as SpecKey).label : undefined;
};
