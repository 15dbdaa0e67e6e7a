import {
  type Assembly,
  assemblySchema,
  type CompanySettings,
  companySettingsSchema,
  type HouseStandard,
  houseStandardSchema,
  type Library,
  type PriceItem,
  priceItemSchema,
} from "@wide-porch/core";
import { z } from "zod";
import imperialBaseboard from "./assemblies/imperial/baseboard.json";
import imperialBlockWall from "./assemblies/imperial/block-wall.json";
import imperialBrickPier from "./assemblies/imperial/brick-pier.json";
import imperialBrickVeneer from "./assemblies/imperial/brick-veneer.json";
import imperialBrickWall from "./assemblies/imperial/brick-wall.json";
import imperialCavityWall from "./assemblies/imperial/cavity-wall.json";
import imperialDeck from "./assemblies/imperial/deck.json";
import imperialDoorSet from "./assemblies/imperial/door-set.json";
import imperialFlatRoof from "./assemblies/imperial/flat-roof.json";
import imperialFloor from "./assemblies/imperial/floor.json";
import imperialFooting from "./assemblies/imperial/footing.json";
import imperialInsideWall from "./assemblies/imperial/inside-wall.json";
import imperialOutsideWall from "./assemblies/imperial/outside-wall.json";
import imperialPad from "./assemblies/imperial/pad.json";
import imperialPaintedArea from "./assemblies/imperial/painted-area.json";
import imperialPartition from "./assemblies/imperial/partition.json";
import imperialPartyWall from "./assemblies/imperial/party-wall.json";
import imperialRaft from "./assemblies/imperial/raft.json";
import imperialRafterRoof from "./assemblies/imperial/rafter-roof.json";
import imperialRoomBoard from "./assemblies/imperial/room-board.json";
import imperialSheathing from "./assemblies/imperial/sheathing-membrane.json";
import imperialSlab from "./assemblies/imperial/slab.json";
import imperialSlopeLining from "./assemblies/imperial/slope-lining.json";
import imperialStoneWall from "./assemblies/imperial/stone-wall.json";
import imperialStoreyBoard from "./assemblies/imperial/storey-board.json";
import imperialSurfaceBoard from "./assemblies/imperial/surface-board.json";
import imperialInsulation from "./assemblies/imperial/wall-insulation.json";
import imperialWaterproofing from "./assemblies/imperial/waterproofing.json";
import imperialWindowSet from "./assemblies/imperial/window-set.json";
import metricBaseboard from "./assemblies/metric/baseboard.json";
import metricBlockWall from "./assemblies/metric/block-wall.json";
import metricBrickPier from "./assemblies/metric/brick-pier.json";
import metricBrickVeneer from "./assemblies/metric/brick-veneer.json";
import metricBrickWall from "./assemblies/metric/brick-wall.json";
import metricCavityWall from "./assemblies/metric/cavity-wall.json";
import metricDeck from "./assemblies/metric/deck.json";
import metricDoorSet from "./assemblies/metric/door-set.json";
import metricFlatRoof from "./assemblies/metric/flat-roof.json";
import metricFloor from "./assemblies/metric/floor.json";
import metricFooting from "./assemblies/metric/footing.json";
import metricInsideWall from "./assemblies/metric/inside-wall.json";
import metricOutsideWall from "./assemblies/metric/outside-wall.json";
import metricPad from "./assemblies/metric/pad.json";
import metricPaintedArea from "./assemblies/metric/painted-area.json";
import metricPartition from "./assemblies/metric/partition.json";
import metricPartyWall from "./assemblies/metric/party-wall.json";
import metricRaft from "./assemblies/metric/raft.json";
import metricRafterRoof from "./assemblies/metric/rafter-roof.json";
import metricRoomBoard from "./assemblies/metric/room-board.json";
import metricSheathing from "./assemblies/metric/sheathing-membrane.json";
import metricSlab from "./assemblies/metric/slab.json";
import metricSlopeLining from "./assemblies/metric/slope-lining.json";
import metricStoneWall from "./assemblies/metric/stone-wall.json";
import metricStoreyBoard from "./assemblies/metric/storey-board.json";
import metricSurfaceBoard from "./assemblies/metric/surface-board.json";
import metricInsulation from "./assemblies/metric/wall-insulation.json";
import metricWaterproofing from "./assemblies/metric/waterproofing.json";
import metricWindowSet from "./assemblies/metric/window-set.json";
import { book } from "./book";
import companySettings from "./company-settings.json";
import priceList from "./price-list.json";
import standards from "./standards.json";

/** Assemblies that a new company starts with. */
export const starterAssemblies: readonly Assembly[] = z
  .array(assemblySchema)
  .parse([
    imperialOutsideWall,
    imperialInsideWall,
    imperialPartition,
    imperialPartyWall,
    imperialDeck,
    imperialDoorSet,
    imperialWindowSet,
    imperialRoomBoard,
    imperialSurfaceBoard,
    imperialStoreyBoard,
    imperialInsulation,
    imperialSheathing,
    metricOutsideWall,
    metricInsideWall,
    metricPartition,
    metricPartyWall,
    metricDeck,
    metricDoorSet,
    metricWindowSet,
    metricRoomBoard,
    metricSurfaceBoard,
    metricStoreyBoard,
    metricInsulation,
    metricSheathing,
    metricBrickWall,
    metricBaseboard,
    metricPaintedArea,
    metricBlockWall,
    metricStoneWall,
    metricCavityWall,
    imperialBrickWall,
    imperialBaseboard,
    imperialPaintedArea,
    imperialBlockWall,
    imperialStoneWall,
    imperialBrickVeneer,
    metricBrickVeneer,
    imperialCavityWall,
    metricBrickPier,
    imperialBrickPier,
    imperialRafterRoof,
    metricRafterRoof,
    imperialSlopeLining,
    metricSlopeLining,
    imperialFlatRoof,
    imperialFloor,
    imperialRaft,
    metricFlatRoof,
    metricFloor,
    metricRaft,
    imperialSlab,
    metricSlab,
    imperialFooting,
    metricFooting,
    imperialPad,
    metricPad,
    imperialWaterproofing,
    metricWaterproofing,
  ]);

/** Ways of building that a new company starts with. */
export const starterStandards: readonly HouseStandard[] = z.array(houseStandardSchema).parse(standards);

/** Timber and sheets that ship with the product, and the assemblies to start from; checked as they are loaded. */
export const library: Library = {
  ...book,
  assemblies: starterAssemblies,
};

/** Invented prices for a new company to start from. */
export const starterPriceList: readonly PriceItem[] = z.array(priceItemSchema).parse(priceList);

/** How a new company prices and quotes until it says otherwise. */
export const starterCompanySettings: CompanySettings = companySettingsSchema.parse(companySettings);
