/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aClickAddsTheNextPlace = 'A click adds the next place of the route.';
export const aPathThatWasImportedFrom =
  'A path that was imported from coordinates takes checkpoints by coordinate.';
export const acrossThePath = 'Across the path';
export const addAHazard = 'Add a hazard';
export const addALeg = 'Add a leg';
export const addAPath = 'Add a path';
export const addAPathOfAtLeast =
  'Add a path of at least one and a half times the longest claim, or the result will be a bound.';
export const addASignal = 'Add a signal';
export const addASource = 'Add a source';
export const addAnObstruction = 'Add an obstruction';
export const addByFigures = 'add by figures …';
export const addIt = 'Add it';
export const addOne = 'Add one';
export const addToThePlanByFigures = 'Add to the plan by figures';
export const after = 'after';
export const alongThePath = ' along the path)';
export const anEmptyLevelWasLostBelow = '; an empty level was lost below the sensitivity and counts as such.';
export const andPercent = (part: number): string => ` and ${part} %`;
export const andThePathAsAFile = ', and the path as a file';
export const andVariesFromPlaceToPlace = ' and varies from place to place by ';
export const antenna = 'Antenna';
export const asHigh = '× as high';
export const asMuch = '× as much';
export const at = 'At';
export const atItsConnector = 'At its connector';
export const atMMOffTheRoute = (atM: number, offM: string): string => `At ${atM} m, ${offM} m off the route.`;
export const bearing = 'Bearing';
export const bearing2 = ', bearing ';
export const before = 'before';
export const breaksFirst = 'Breaks first';
export const byCoordinateOrFromAnEarlier = 'By coordinate, or from an earlier comparison';
export const checkpoint = (i: number): string => `checkpoint ${i}`;
export const checkpoints = 'Checkpoints';
export const chooseAComparison = 'choose a comparison';
export const clearance = (either: string): string => `; ${either}, clearance `;
export const closer = 'Closer';
export const columns = 'Columns ';
export const condition = 'Condition';
export const cornerOf = (i: number, label: string): string => `Corner ${i} of ${label}`;
export const cornersEastNorth = 'Corners, east north';
export const countersZeroedAt = 'Counters zeroed at';
export const db = (shadowingSdDb: string): string => `${shadowingSdDb} dB`;
export const db2 = (db: number, c: string): string => `${db} dB (${c})`;
export const db3 = (either: string, db: string): string => `${either}${db} dB`;
export const dbMore = 'dB more';
export const distanceMLevelDbm = 'distance_m,level_dbm';
export const distancesBy = 'Distances by';
export const dragAHandleOrTabTo =
  'Drag a handle, or tab to it and use the arrow keys; Delete removes it. Drag the ground, or pinch, to look closer.';
export const dragFromOneEndOfThe = 'Drag from one end of the wall to the other.';
export const dragFromOneEndOfThe2 = 'Drag from one end of the hedge to the other.';
export const dragOverItsOutline = 'Drag over its outline.';
export const dragOverTheArea = 'Drag over the area.';
export const dragOverTheAreaOfThe = 'Drag over the area of the other storey.';
export const dragOverTheSteps = 'Drag over the steps.';
export const drawnAsItWasBefore = 'Drawn as it was before: ';
export const duty0To1 = 'Duty, 0 to 1';
export const eirp = 'EIRP';
export const end = 'End';
export const exposure = 'Exposure';
export const farther = 'Farther';
export const farthest = 'Farthest';
export const fixed = 'fixed';
export const fixedEndAt = 'Fixed end at ';
export const fixedEndKnownTo = 'Fixed end known to ±';
export const fixesWithinMOfTheLast = (leastStepM: number, toleranceM: number): string =>
  `. Fixes within ${leastStepM} m of the last, or ${toleranceM} m of the line, add no length. `;
export const floor = 'Floor';
export const frequency = 'Frequency';
export const from = 'From';
export const hazard = (i: number): string => `hazard ${i}`;
export const hazards = 'Hazards';
export const hazardsKerbsWaterStairsMachinery = 'Hazards: kerbs, water, stairs, machinery';
export const hazardsPermissionWhereCountersAreZeroed =
  'Hazards, permission, where counters are zeroed, and the rest';
export const hedge = 'Hedge';
export const height = 'Height';
export const heights = 'Heights';
export const howCheckpointWasPlaced = (nth: number): string => `How checkpoint ${nth} was placed`;
export const howFastTheLevelFallsHere = 'How fast the level falls here, from logged levels';
export const howTheLevelFallsForPredictions = 'How the level falls, for predictions';
export const importARoute = 'Import a route';
export const importARouteFromAGpx = 'Import a route from a GPX or GeoJSON file';
export const importASurveyACsvWith = 'Import a survey: a CSV with when, end, frequency_mhz, level_dbm, what';
export const importText = 'Import';
export const inABuilding = 'in a building';
export const inHand = (partNames: string): string => `In hand: ${partNames}`;
export const interferenceAsACabledOrShielded = 'Interference, as a cabled or shielded test';
export const interferenceOnPurposeIsUnlawfulIn =
  'Interference on purpose is unlawful in most places outside a shielded room or a cable. The ' +
  'result is a ratio of wanted to unwanted, not a range.';
export const itFallsWithTheExponent = 'It falls with the exponent ';
export const itStandsInsideTheNetworkNo = 'it stands inside the network: no line in between';
export const keepPlaceAndCoordinatesPrivate = 'keep place and coordinates private';
export const kind = 'Kind';
export const knownPointsOf = 'Known points of';
export const latitudeLongitude = 'Latitude, longitude';
export const leg = (i: number): string => `leg ${i}`;
export const legs = 'Legs';
export const length = 'Length';
export const level = 'Level';
export const levelDbm = 'level, dBm';
export const levelOverSeparationReadingsFittedExponent = (readings: number, exponent: string): string =>
  `Level over separation: ${readings} readings, fitted exponent ${exponent}, and the prediction`;
export const levelsAsCsv = 'Levels as CSV';
export const lineByCableDown = 'Line by cable, down';
export const lineByCableUp = 'Line by cable, up';
export const lineOfSight = 'line of sight';
export const loggedLevelsACsvWithDistance =
  'Logged levels: a CSV with distance_m and level_dbm, the level empty where it was lost';
export const lookCloserTheArrowKeysMove = 'Look closer; the arrow keys move the plan';
export const lossByEye = 'loss by eye';
export const lossByEye2 = 'Loss (by eye)';
export const lossIfSet = 'Loss, if set';
export const lostBelowTheSensitivity = 'lost, below the sensitivity';
export const mEastMNorthArrowKeys = (label: string, at: string, at2: string): string =>
  `${label}: ${at} m east, ${at2} m north; arrow keys move it`;
export const material = 'Material';
export const measuredLevels = 'Measured levels';
export const mendTheFiguresThatAreOut = 'mend the figures that are out of place.';
export const mhz = 'MHz';
export const mobile = 'mobile';
export const modelExponentAboutM = (model: string, exponent: number, aboutM: string): string =>
  `(${model} model, exponent ${exponent} about ${aboutM} m)`;
export const modelShadowingOfDb8Of = (model: string, shadowingSdDb: number, entries: string): string =>
  `Model: ${model}, shadowing of ${shadowingSdDb} dB (8 of 10 places lie in the band). Events at ` +
  `margins of ${entries}: an assumption for digital links. Beside the measured, never instead.`;
export const move = 'Move';
export const nameOfCheckpoint = (nth: number): string => `Name of checkpoint ${nth}`;
export const nameText = 'Name';
export const namedOnWalksWithoutADistance = 'Named on walks, without a distance';
export const namedOnWalksWithoutADistance2 =
  'Named on walks, without a distance: until they have one, they only order. Once a place is ' +
  'known, by a known length or off a map, all that was logged there follows.';
export const needsCorrecting = 'needs correcting';
export const newPath = 'New path';
export const noLineOfSight = 'no line of sight';
export const noPathYet = 'No path yet';
export const none = 'none';
export const notDrawn = 'Not drawn: ';
export const notOnThisPath = 'not on this path';
export const notPredictedEnterInKitThe = (without: string): string =>
  `Not predicted: ${without}. Enter in Kit the weakest level it receives.`;
export const notStated = 'not stated';
export const note = (w: string): string => ` Note: ${w}.`;
export const nothingBetweenFreeSpace = 'nothing between (free space)';
export const nothingNotedWhatIsThereBefore =
  'Nothing noted. What is there before the walks, and only after them, can explain a dropout.';
export const nothingThatIsDrawn = 'nothing that is drawn';
export const obstructed = 'obstructed';
export const obstruction = (i: number): string => `obstruction ${i}`;
export const ofTheFirstZoneAtMhz = (frequencyMHz: number, either: string): string =>
  ` of the first zone at ${frequencyMHz} MHz. Between: ${either}.`;
export const onOneScale = 'On one scale';
export const onTheAir = 'On the air';
export const onTheAirSurveyAndInterference = 'On the air: survey and interference';
export const onThePlan = 'On the plan';
export const oneEvery = 'One every';
export const open = 'open';
export const openThenGroundTwoSlopes = 'open, then ground (two slopes)';
export const overFlatGroundTwoRays = 'over flat ground (two rays)';
export const path = 'Path';
export const paths = 'Paths';
export const paths2 = 'paths';
export const permissionToBeThere = 'Permission to be there';
export const place = (name: string): string => `Place “${name}”`;
export const placeCheckpoints = 'Place checkpoints';
export const placeOfCheckpoint = (nth: number): string => `Place of checkpoint ${nth}`;
export const placeOfTheRoute = (i: number): string => `Place ${i} of the route`;
export const planOfTheSiteToScale = 'Plan of the site, to scale';
export const point = (checkpointsCount: number): string => `point ${checkpointsCount}`;
export const pointAtTheRouteOnThe =
  'Point at the route, on the plan or on the tape, to see what lies between the two ends there.';
export const points = (name: string, checkpointsCount: number): string =>
  `${name}: ${checkpointsCount} points`;
export const points2 = 'Points';
export const post = (i: number): string => `post ${i}`;
export const power = 'Power';
export const powerAntennaGainAndLicenceLimits =
  'Power, antenna gain and licence limits are local: ask a licensed person before you change them.';
export const predictedFor = 'Predicted for';
export const predictedInSeparation = 'Predicted, in separation';
export const remove = (what: string): string => `Remove ${what}`;
export const remove2 = 'Remove';
export const removeSignal = (i: number): string => `Remove signal ${i}`;
export const removeSource = (i: number): string => `Remove source ${i}`;
export const rise = 'Rise';
export const route = 'Route';
export const saveAs = (name: string): string => `Save as ${name}`;
export const sensitivity = 'Sensitivity';
export const separation = ', separation ';
export const separationM = 'separation, m';
export const serverThatReadingsAreTakenAgainst = 'Server that readings are taken against';
export const shadowingFromReadingsOfThemLost = (readings: number, censored: number): string =>
  ` (shadowing), from ${readings} readings, ${censored} of them lost.`;
export const shouldHoldToTheEnd = 'should hold to the end';
export const shownTheLevelsLoggedInWalks = (loggedCount: number): string =>
  ` Shown: the ${loggedCount} levels logged in walks on this path.`;
export const snapOff = 'Snap: off';
export const snapOn = 'Snap: on';
export const soldAsDown = 'Sold as, down';
export const soldAsUp = 'Sold as, up';
export const source = 'Source';
export const stairsKerbWater = 'stairs, kerb, water';
export const steps = 'Steps';
export const surveyBeforeAndAfterAtBoth = 'Survey, before and after, at both ends';
export const sweep = 'Sweep';
export const test = 'Test';
export const theDistance = ' the distance ';
export const theFileHoldsCoordinatesMindWhose = 'The file holds coordinates: mind whose place it shows.';
export const theLevelsShownAreAsThey =
  'The levels shown are as they were; mend the file and choose it again.';
export const thePathOnTheTape = (name: string): string => `The path ${name} on the tape`;
export const thePathsAreAsTheyWere = 'The paths are as they were; choose another file.';
export const theSurveyIsAsItWas = 'The survey is as it was.';
export const thereIsNoOtherComparisonTo = 'There is no other comparison to take points from.';
export const theseReadingsDoNotMakeA = (readingsCount: number): string =>
  `These ${readingsCount} readings do not make a line: at least three with a level, at two distances.`;
export const thickness = 'Thickness';
export const thisPath = 'this path';
export const thisPlaceIsPrivateAFile = 'This place is private: a file of it is for yourself.';
export const to = 'To';
export const to2 = 'to';
export const to3 = (label: string): string => `${label}, to`;
export const toCorrect = ': to correct';
export const toTheFixedEnd = 'To the fixed end';
export const toTheMobileEnd = 'To the mobile end';
export const travelled = 'Travelled ';
export const trees = 'Trees';
export const undoOnThePlan = ' Undo on the plan';
export const wagonOrVehicle = 'Wagon or vehicle';
export const wall = 'Wall';
export const wantedFixedEnd = 'Wanted, fixed end';
export const wantedMobileEnd = 'Wanted, mobile end';
export const way = 'Way';
export const what = 'What';
export const whatAChangeWouldBeWorth = 'What a change would be worth';
export const whatLiesBetweenTheEndsKnow =
  'What lies between the ends? Know where kerbs, water and stairs are before the first walk.';
export const whatToDraw = 'What to draw';
export const whatToMind = 'What to mind';
export const when = 'When';
export const wholeSite = ' Whole site';
export const writeLatitudeAndLongitudeInDegrees =
  'Write latitude and longitude in degrees, as in "52.9712, -4.0231".';
