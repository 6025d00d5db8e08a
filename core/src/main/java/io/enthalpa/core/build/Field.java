package io.enthalpa.core.build;

import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.quantity.Unit;

/**
 * Every number a user can edit: its key in a build file, what it is called, what it measures, its allowed range,
 * a sensible default and where that comes from. Range and default are in the unit of the key's suffix, as in the file.
 */
public enum Field {
    DISPLACEMENT("engine", "displacement_L", "displacement", Quantity.VOLUME, "L", 0.05, 60, 2.0, "the engine's data plate"),
    CYLINDERS("engine", "cylinders", "cylinders", Quantity.NUMBER, "", 1, 24, 4, "count them"),
    VOLUMETRIC_EFFICIENCY("engine", "volumetricEfficiency_pct", "volumetric efficiency", Quantity.SHARE, "%", 30, 130, 92,
            "two valves 80-88 %, four valves 88-98 %; common practice, no source"),
    MAX_SPEED("engine", "maxSpeed_rpm", "limiter", Quantity.ROTATION, "rpm", 300, 20000, 6500, "where the limiter cuts in"),
    POWER("engine", "power_kW", "power", Quantity.POWER, "kW", 1, 5000, 150, "at the crank, present or hoped for: a second opinion on the air it needs"),
    FUEL_USE("engine", "fuelRate_g_kWh", "fuel for the power", Quantity.FUEL_RATE, "g/kWh", 150, 700, 320,
            "boosted petrol 300-360, boosted diesel 210-240 g/kWh; common practice, no source"),
    AIR_FUEL_RATIO("engine", "airFuelRatio", "air for the fuel", Quantity.NUMBER, "", 4, 80, 12,
            "by mass: boosted petrol 11.5-12.5, diesel 18-25, methanol 4.5-5.5; common practice, no source"),

    AIR_TEMPERATURE("climate", "airTemperature_C", "outside air", Quantity.TEMPERATURE, "°C", -40, 55, 25,
            "the hottest day the job must be done on"),
    ALTITUDE("climate", "altitude_m", "altitude", Quantity.LENGTH, "m", -400, 5000, 0,
            "above sea level; sets the air pressure by ISO 2533"),
    HUMIDITY("climate", "humidity_pct", "humidity", Quantity.SHARE, "%", 0, 100, 40, "relative, from the weather report"),
    BAROMETER("climate", "barometer_kPa", "barometer", Quantity.PRESSURE, "kPa", 40, 110, 101.3,
            "absolute, as measured where you stand; overrides the altitude"),

    TARGET("targets", "intake_C", "intake target", Quantity.TEMPERATURE, "°C", 0, 150, 50,
            "there is a best band, not a minimum: 35 to 55 °C suits most; common practice, no source"),
    TIMING_PULL("targets", "timingPull_C", "timing line", Quantity.TEMPERATURE, "°C", 10, 200, 65,
            "where your ECU starts to pull timing"),

    SENSOR_LAG("targets", "sensorLag_s", "sensor's lag", Quantity.TIME, "s", 0, 120, 5,
            "time constant in air of 10 m/s: open tip 2-5 s, closed tip 10-20 s; common practice, no source"),

    GEAR_TYRE("gearing", "tyre_mm", "tyre, once round", Quantity.LENGTH, "mm", 500, 6000, 1950, "rolling circumference: chalk mark to chalk mark on the ground"),
    GEAR_FINAL("gearing", "finalDrive", "final drive", Quantity.NUMBER, "", 0.5, 20, 3.9, "the axle's plate; with a transfer box its ratio too"),
    GEAR_CHANGE("gearing", "changeUp_rpm", "changes up at", Quantity.ROTATION, "rpm", 500, 20000, 6200, "a little under the limiter"),
    GEAR_IDLE("gearing", "idle_rpm", "idle", Quantity.ROTATION, "rpm", 100, 3000, 850, "engine warm"),

    BAY_STANDING("bay", "standing_K", "bay over outside, standing", Quantity.TEMPERATURE_DIFFERENCE, "K", 5, 110, 45,
            "engine warm, idling until it settles: 30-60 K; common practice, no source"),
    BAY_ROLLING("bay", "rolling_K", "bay over outside at 60 km/h", Quantity.TEMPERATURE_DIFFERENCE, "K", 0.5, 100, 14, "8-20 K; common practice, no source"),
    BAY_SETTLES("bay", "settles_s", "bay settles in", Quantity.TIME, "s", 10, 3600, 240, "time constant, standing: 3-6 min; common practice, no source"),

    FULL_LOAD_SPEED("fullLoad", "engineSpeed_rpm", "engine speed at full load", Quantity.ROTATION, "rpm", 300, 20000, 5000,
            "where the charge line is drawn; usually peak power"),
    FULL_LOAD_ROAD_SPEED("fullLoad", "roadSpeed_km_h", "road speed at full load", Quantity.SPEED, "km/h", 0, 600, 100,
            "decides the cooling air"),

    DUTY_REPEATS("duty", "repeats", "runs", Quantity.NUMBER, "", 1, 200, 1, "how often the table is run"),
    DUTY_WAIT("duty", "wait_s", "wait between runs", Quantity.TIME, "s", 0, 36000, 0, "engine off, car standing"),
    DUTY_START_ABOVE("duty", "startAbove_K", "start above outside air", Quantity.TEMPERATURE_DIFFERENCE, "K", 0, 120, 10,
            "core and water after the drive to the start; 5-25 K is usual; common practice, no source"),
    DUTY_TIME("duty/rows", "time_s", "time", Quantity.TIME, "s", 0, 36000, 0, "from the start"),
    DUTY_SPEED("duty/rows", "engineSpeed_rpm", "engine speed", Quantity.ROTATION, "rpm", 0, 20000, 3000, "0 is engine off"),
    DUTY_BOOST("duty/rows", "boost_kPa", "boost", Quantity.PRESSURE, "kPa", -90, 500, 100, "above outside air; below zero is throttled"),
    PIECE_TIME("duty/pieces", "time_s", "for", Quantity.TIME, "s", 0.1, 36000, 20, "how long this piece lasts"),
    PIECE_SPEED("duty/pieces", "engineSpeed_rpm", "engine speed", Quantity.ROTATION, "rpm", 0, 20000, 4000, "empty: by the gearing of the Brief"),
    PIECE_BOOST("duty/pieces", "boost_kPa", "boost", Quantity.PRESSURE, "kPa", -90, 500, 100, "above outside air; below zero is throttled"),
    PIECE_ROAD_SPEED("duty/pieces", "roadSpeed_km_h", "road speed", Quantity.SPEED, "km/h", 0, 600, 100, "held, or where a ramp, pull or braking ends"),
    PIECE_LENGTH("duty/pieces", "length_m", "length of the hill", Quantity.LENGTH, "m", 10, 200000, 5000, "of road"),
    PIECE_TIMES("duty/pieces", "times", "times", Quantity.NUMBER, "", 1, 500, 2, "how often what stands inside is run"),
    DUTY_ROAD_SPEED("duty/rows", "roadSpeed_km_h", "road speed", Quantity.SPEED, "km/h", 0, 600, 60, "0 is standing"),

    BOOST("option", "boost_kPa", "boost", Quantity.PRESSURE, "kPa", 0, 500, 100, "in the manifold above outside air, as the gauge shows it"),

    FILTER_BORE("filter", "bore_mm", "filter outlet bore", Quantity.LENGTH, "mm", 10, 400, 76, "inside"),
    FILTER_LOSS("filter", "loss_kPa", "filter loss", Quantity.PRESSURE, "kPa", 0, 30, 1.5,
            "clean panel filter with box 1-2.5 kPa at full flow; common practice, no source"),
    FILTER_FLOW("filter", "flow_kg_s", "flow at that loss", Quantity.MASS_FLOW, "kg/s", 0.005, 10, 0.15, "the flow the loss was read at"),
    FILTER_HEAT("filter", "heatGain_K", "intake warm-up", Quantity.TEMPERATURE_DIFFERENCE, "K", 0, 60, 3,
            "cold snorkel 1-4 K, open filter in the bay 10-25 K; common practice, no source"),
    FILTER_DIRTY_LOSS("filter", "dirtyLoss_kPa", "loss when due for change", Quantity.PRESSURE, "kPa", 0, 40, 3,
            "about twice the clean loss; common practice, no source"),
    FILTER_SOILING("filter", "soiling_pct", "how dirty", Quantity.SHARE, "%", 0, 100, 0, "0 is clean, 100 due for change"),
    FILTER_BAY_SHARE("filter", "bayShare_pct", "drawn from the bay", Quantity.SHARE, "%", 0, 100, 0, "of its air, on top of the warm-up: sealed box 0-10, open filter in the bay 60-100 %; common practice, no source"),

    BLOWER_EFFICIENCY("blower", "efficiency_pct", "blower efficiency", Quantity.SHARE, "%", 30, 90, 70,
            "isentropic: roots-type 50-60, screw 65-75, centrifugal 68-78, turbo 65-78 %; common practice, no source"),
    BLOWER_MAX_RATIO("blower", "maxPressureRatio", "most pressure ratio", Quantity.NUMBER, "", 1.05, 6, 3.0,
            "what the blower can make; from its maker"),
    BLOWER_BORE("blower", "outletBore_mm", "blower outlet bore", Quantity.LENGTH, "mm", 10, 400, 51, "inside"),
    MAP_TEMPERATURE("blower/map", "referenceTemperature_C", "map's inlet temperature", Quantity.TEMPERATURE, "°C", -20, 60, 25,
            "that the map's flow and speed are corrected to; it stands on the map"),
    MAP_PRESSURE("blower/map", "referencePressure_kPa", "map's inlet pressure", Quantity.PRESSURE, "kPa", 80, 120, 100, "absolute; it stands on the map"),
    MAP_SPEED("blower/map/lines", "speed_rpm", "map line speed", Quantity.ROTATION, "rpm", 500, 500000, 100000, "corrected, as on the map"),
    MAP_FLOW("blower/map/lines/points", "flow_kg_s", "map flow", Quantity.MASS_FLOW, "kg/s", 0.001, 20, 0.15, "corrected, as on the map"),
    MAP_RATIO("blower/map/lines/points", "pressureRatio", "map pressure ratio", Quantity.NUMBER, "", 1, 8, 2, "total to total, as on the map"),
    MAP_EFFICIENCY("blower/map/lines/points", "efficiency_pct", "map efficiency", Quantity.SHARE, "%", 20, 92, 72, "isentropic, as on the map"),

    PIPE_BORE("pipe", "bore_mm", "bore", Quantity.LENGTH, "mm", 10, 400, 63, "inside"),
    PIPE_LENGTH("pipe", "length_mm", "straight length", Quantity.LENGTH, "mm", 0, 20000, 1000, "bends not counted"),
    BEND_ANGLE("pipe/bends", "angle_deg", "bend angle", Quantity.ANGLE, "°", 1, 180, 90, "as cut"),
    BEND_RADIUS("pipe/bends", "radius_mm", "bend radius", Quantity.LENGTH, "mm", 7, 2000, 95, "of the centre line; 1.5 times the bore is standard stock"),

    PLENUM_BORE("plenum", "bore_mm", "plenum inlet bore", Quantity.LENGTH, "mm", 10, 400, 63, "throttle body or plenum neck, inside"),
    PLENUM_VOLUME("plenum", "volume_L", "plenum volume", Quantity.VOLUME, "L", 0.05, 100, 3, "plenum and runners up to the valves; counts for filling only"),
    REDUCER_FROM("reducer", "inletBore_mm", "bore in", Quantity.LENGTH, "mm", 10, 400, 63, "inside"),
    REDUCER_TO("reducer", "bore_mm", "bore out", Quantity.LENGTH, "mm", 10, 400, 76, "inside"),
    REDUCER_LENGTH("reducer", "length_mm", "cone length", Quantity.LENGTH, "mm", 0, 1000, 75, "0 is a step; 20° of included angle or less costs least when it opens"),
    JOINT_BORE("joint", "bore_mm", "pipe bore", Quantity.LENGTH, "mm", 10, 400, 63, "inside, of the pipe ends"),
    JOINT_HOSE("joint", "hoseBore_mm", "hose bore", Quantity.LENGTH, "mm", 10, 420, 67, "inside the hose, or its hump: pipe bore and twice the wall"),
    JOINT_GAP("joint", "gap_mm", "gap between pipe ends", Quantity.LENGTH, "mm", 0, 400, 8, "5-15 mm is usual; common practice, no source"),
    THROTTLE_BORE("throttle", "bore_mm", "throttle bore", Quantity.LENGTH, "mm", 10, 200, 60, "inside"),
    THROTTLE_SHAFT("throttle", "shaft_mm", "shaft thickness", Quantity.LENGTH, "mm", 1, 40, 9, "of shaft and plate across the bore; 8-10 mm is usual; common practice, no source"),
    INJECTION_BORE("injection", "bore_mm", "pipe bore", Quantity.LENGTH, "mm", 10, 400, 63, "inside, where the nozzle stands"),
    INJECTION_ALCOHOL("injection", "alcohol_pct", "methanol in the mix", Quantity.SHARE, "%", 0, 100, 50, "by volume; half and half is usual; common practice, no source"),
    INJECTION_FLOW("injection", "nozzleFlow_L_min", "nozzle flow", Quantity.VOLUME_FLOW, "L/min", 0.01, 20, 0.4, "all nozzles together, at the pressure they are rated for"),
    INJECTION_RATED("injection", "ratedPressure_kPa", "rated at", Quantity.PRESSURE, "kPa", 50, 3000, 700, "pressure difference that the nozzle's flow is given at"),
    INJECTION_PUMP("injection", "pumpPressure_kPa", "pump pressure", Quantity.PRESSURE, "kPa", 100, 3000, 1000, "at the nozzle, above outside air"),
    INJECTION_START("injection", "startBoost_kPa", "starts at boost", Quantity.PRESSURE, "kPa", 0, 500, 40, "controller setting"),
    INJECTION_FULL("injection", "fullBoost_kPa", "full at boost", Quantity.PRESSURE, "kPa", 0, 500, 90, "controller setting; straight between start and full"),
    INJECTION_TANK("injection", "tank_L", "tank", Quantity.VOLUME, "L", 0.1, 400, 5, "usable content"),
    INJECTION_EVAPORATED("injection", "evaporated_pct", "evaporates before the plenum", Quantity.SHARE, "%", 0, 100, 50,
            "40-70 % with fine nozzles 300 mm or more ahead; the rest in the cylinder; common practice, no source"),
    PAIR_SPLIT("pair", "splitAngle_deg", "angle at the split", Quantity.ANGLE, "°", 0, 90, 30, "between a leg and the common pipe; 90 is a straight tee"),
    PAIR_MERGE("pair", "mergeAngle_deg", "angle at the merge", Quantity.ANGLE, "°", 0, 90, 20, "between a leg and the common pipe; collectors have 10-20°"),
    PAIR_BORE("pair", "mergedBore_mm", "bore behind the merge", Quantity.LENGTH, "mm", 10, 400, 76, "inside"),
    BALANCE_BORE("pair/balance", "bore_mm", "balance tube bore", Quantity.LENGTH, "mm", 5, 200, 38, "inside"),
    BALANCE_LENGTH("pair/balance", "length_mm", "balance tube length", Quantity.LENGTH, "mm", 10, 3000, 400, "from plenum to plenum"),

    CORE_WIDTH("core", "width_mm", "core width", Quantity.LENGTH, "mm", 30, 2500, 500, "finned block along the charge, tanks not counted"),
    CORE_HEIGHT("core", "height_mm", "core height", Quantity.LENGTH, "mm", 30, 1500, 250, "finned block"),
    CORE_DEPTH("core", "depth_mm", "core depth", Quantity.LENGTH, "mm", 10, 400, 64, "finned block"),
    CORE_PORT("core", "portBore_mm", "core port bore", Quantity.LENGTH, "mm", 10, 400, 63, "inside"),
    CORE_TANK_DEPTH("core", "tankDepth_mm", "end tank depth", Quantity.LENGTH, "mm", 10, 400, 63, "from the block's face to the back of the tank; the port's bore is usual"),
    CORE_BLOCKED("core", "blocked_pct", "passages blocked", Quantity.SHARE, "%", 0, 90, 0, "by a boss, weld or dirt; share of the passages that get no air"),
    CORE_OUTLETS("core", "outlets", "outlets", Quantity.NUMBER, "", 1, 2, 1, "two for two banks"),
    BLOCK_PLATE("core/block", "plate_mm", "plate or tube wall", Quantity.LENGTH, "mm", 0.1, 5, 0.5, "bar-and-plate 0.4-0.6 mm, tubes 0.3-0.5 mm; common practice, no source"),
    BLOCK_BAR("core/block", "bar_mm", "bar width", Quantity.LENGTH, "mm", 0.2, 30, 5, "closing bars 4-8 mm; nose of a tube about 1 mm; common practice, no source"),
    BLOCK_CONDUCTIVITY("core/block", "conductivity_W_mK", "metal's conductivity", Quantity.THERMAL_CONDUCTIVITY, "W/mK", 10, 400, 180,
            "brazing sheet 170-190; copper 380; stainless 16; Incropera & DeWitt, from memory"),
    BLOCK_CHARGE_FOULING("core/block", "chargeFouling_m2K_kW", "fouling, charge side", Quantity.FOULING, "m²K/kW", 0, 5, 0.05,
            "clean 0; oil film behind a blower 0.1-0.3; common practice, no source"),
    BLOCK_COLD_FOULING("core/block", "coldFouling_m2K_kW", "fouling, cooling side", Quantity.FOULING, "m²K/kW", 0, 5, 0,
            "clean 0; flies and dust 0.2-0.5; sea water 0.1-0.2; common practice, no source"),
    FIN_GAP("core/block/fin", "gap_mm", "fin height", Quantity.LENGTH, "mm", 0.5, 40, 6, "between the plates: height of the layer"),
    FIN_PITCH("core/block/fin", "pitch_mm", "fin pitch", Quantity.LENGTH, "mm", 0.3, 30, 2, "from fin to fin: 25.4 over fins per inch"),
    FIN_THICKNESS("core/block/fin", "thickness_mm", "fin thickness", Quantity.LENGTH, "mm", 0.03, 3, 0.15, "0.08-0.3 mm is usual; common practice, no source"),
    FIN_INTERVAL("core/block/fin", "interval_mm", "strip length or louvre pitch", Quantity.LENGTH, "mm", 0.5, 50, 3, "offset strips 2-6 mm, louvres 0.9-1.7 mm; common practice, no source"),
    FIN_ANGLE("core/block/fin", "louvreAngle_deg", "louvre angle", Quantity.ANGLE, "°", 8, 40, 27, "20-30° is usual; common practice, no source"),
    WALL_THICKNESS("pipe/wall", "thickness_mm", "wall", Quantity.LENGTH, "mm", 0.3, 20, 1.6, "stock: aluminium 1.6, steel 1.5, stainless 1.2, silicone 5 mm; common practice, no source"),
    WALL_WRAP("pipe/wall", "wrap_mm", "wrap", Quantity.LENGTH, "mm", 0, 50, 0, "fibre or foam round it; one layer of tape 1.5-2 mm"),
    HOT_TEMPERATURE("pipe/wall/hot", "temperature_C", "hot neighbour", Quantity.TEMPERATURE, "°C", 30, 1000, 600, "turbine housing 500-750, manifold 400-700, silencer 200-400 °C; common practice, no source"),
    HOT_WIDTH("pipe/wall/hot", "width_mm", "its width", Quantity.LENGTH, "mm", 5, 2000, 120, "across the pipe"),
    HOT_DISTANCE("pipe/wall/hot", "distance_mm", "from the pipe's middle", Quantity.LENGTH, "mm", 5, 3000, 100, "to its face"),
    HOT_ALONG("pipe/wall/hot", "along_mm", "along", Quantity.LENGTH, "mm", 10, 10000, 250, "length of pipe that it stands beside"),
    PLENUM_MASS("plenum/wall", "mass_kg", "metal of the plenum", Quantity.MASS, "kg", 0.2, 200, 4, "with its runners; aluminium"),
    PLENUM_AREA("plenum/wall", "area_cm2", "inside area", Quantity.AREA, "cm²", 50, 100000, 1500, "of plenum and runners"),
    PLENUM_HEAD("plenum/wall", "head_C", "engine at its flange", Quantity.TEMPERATURE, "°C", 40, 160, 92, "about the coolant's temperature"),
    PLENUM_TO_HEAD("plenum/wall", "toHead_W_K", "through the gasket", Quantity.CONDUCTANCE, "W/K", 0, 300, 12,
            "plain gasket 8-25 W/K, thick plastic spacer 1-3; common practice, no source"),
    AIR_FACE_SHARE("core/air", "faceShare_pct", "face air share", Quantity.SHARE, "%", 0.5, 100, 22,
            "speed at the face over road speed: open front 15-35 %, sealed duct 30-50 %; common practice, no source"),
    AIR_STANDSTILL("core/air", "standstill_m_s", "face air standing", Quantity.SPEED, "m/s", 0.05, 30, 0.5,
            "what fan or warm air still moves; no fan about 0.3 m/s; common practice, no source"),
    WATER_FLOW("core/water", "flow_L_min", "measured water flow", Quantity.VOLUME_FLOW, "L/min", 0.5, 3000, 20,
            "what really circulates: bucket and watch; leave empty to find it from pump and losses"),
    WATER_VOLUME("core/water", "volume_L", "water in all", Quantity.VOLUME, "L", 1, 500, 6, "tank, hoses, core and radiator"),
    WATER_SOAK("core/water", "soak_W_K", "heat from the bay", Quantity.CONDUCTANCE, "W/K", 0, 200, 4,
            "through hoses, tank and core: 2-8 W/K bare, 1-3 wrapped; common practice, no source"),
    WATER_GLYCOL("core/water", "glycol_pct", "glycol", Quantity.SHARE, "%", 0, 60, 0, "ethylene glycol by volume as poured; 0 where the rules want plain water"),
    LOOP_HEIGHT("water/piece", "height_mm", "height", Quantity.LENGTH, "mm", -3000, 5000, 400,
            "above the ground or any datum, the same for all; of a hose its highest place"),
    LOOP_BESIDE("water/piece", "beside", "side by side", Quantity.NUMBER, "", 1, 6, 1, "equal ones that share the flow"),
    LOOP_BORE("water/piece", "bore_mm", "bore", Quantity.LENGTH, "mm", 3, 200, 19, "inside; the smallest bore of a loop rules it"),
    LOOP_LENGTH("water/piece", "length_mm", "length", Quantity.LENGTH, "mm", 0, 20000, 800, "straight length of a hose, bends not counted; of a spigot its narrow part"),
    PUMP_SPEED("water/pump", "speed_pct", "pump speed", Quantity.SHARE, "%", 5, 200, 100, "over that of its curve; voltage changes it about in proportion"),
    PUMP_DRIVEN("water/pump", "drivenAt_rpm", "driven by the engine at", Quantity.ROTATION, "rpm", 100, 20000, 2000, "engine speed that the curve belongs to; empty for its own motor"),
    PUMP_EFFICIENCY("water/pump", "efficiency_pct", "pump efficiency", Quantity.SHARE, "%", 2, 90, 25,
            "hydraulic power over power drawn: small electric pumps 20-40 %; common practice, no source"),
    PUMP_FLOW("water/pump/curve", "flow_L_min", "curve flow", Quantity.VOLUME_FLOW, "L/min", 0, 3000, 30, "from its maker, or bucket and watch"),
    PUMP_PRESSURE("water/pump/curve", "pressure_kPa", "curve pressure", Quantity.PRESSURE, "kPa", 0, 600, 40, "from its maker, or a gauge"),
    CHILLER_LOSS("water/chiller", "loss_kPa", "chiller loss", Quantity.PRESSURE, "kPa", 0, 100, 8, "of water through it"),
    CHILLER_FLOW("water/chiller", "flow_L_min", "at flow", Quantity.VOLUME_FLOW, "L/min", 0.5, 1000, 20, "that the loss was read at"),
    CHILLER_CAPACITY("core/water/chiller", "capacity_kW", "chiller capacity", Quantity.POWER, "kW", 0.1, 60, 4,
            "at 20 °C water and 25 °C outside; a car's air conditioning gives 3-6 kW; common practice, no source"),
    CHILLER_COLDEST("core/water/chiller", "coldest_C", "coldest water", Quantity.TEMPERATURE, "°C", -25, 40, 4, "where its thermostat stops"),
    CHILLER_DROP_OUT("core/water/chiller", "dropOutBoost_kPa", "cut out from boost", Quantity.PRESSURE, "kPa", -50, 600, 20,
            "full throttle cuts the compressor out in most cars"),
    TANK_HOLDS("core/water/tank", "holds_L", "tank holds", Quantity.VOLUME, "L", 0.2, 500, 8, "street and strip about 20 L, ice about 38 L; common practice, no source"),
    TANK_START("core/water/tank", "start_C", "water at the start", Quantity.TEMPERATURE, "°C", -20, 95, 20, "empty: as soaked after the drive to the start, or ice water"),
    ICE_MASS("core/water/tank", "ice_kg", "ice", Quantity.MASS, "kg", 0, 400, 0, "put in before the start"),
    ICE_PIECE("core/water/tank", "icePiece_mm", "ice pieces", Quantity.LENGTH, "mm", 5, 400, 30, "edge: cubes 25-35 mm, broken block 60-100 mm; common practice, no source"),
    RAW_TEMPERATURE("core/water/raw", "temperature_C", "raw water", Quantity.TEMPERATURE, "°C", -2, 45, 18, "the warmest sea, lake or mains of the season"),
    RAW_FOULING("core/water/raw", "fouling_m2K_kW", "fouling, water side", Quantity.FOULING, "m²K/kW", 0, 3, 0.15, "clean 0; sea water 0.1-0.2; TEMA's allowances, from memory"),
    RADIATOR_WIDTH("core/water/radiator", "width_mm", "radiator width", Quantity.LENGTH, "mm", 30, 2500, 400, "finned block"),
    RADIATOR_HEIGHT("core/water/radiator", "height_mm", "radiator height", Quantity.LENGTH, "mm", 30, 1500, 250, "finned block"),
    RADIATOR_DEPTH("core/water/radiator", "depth_mm", "radiator depth", Quantity.LENGTH, "mm", 10, 400, 32, "finned block"),
    RADIATOR_HEAT("core/water/radiator", "heat_kW", "radiator heat on its card", Quantity.POWER, "kW", 0.1, 1000, 12, "maker's card"),
    RADIATOR_WATER_FLOW("core/water/radiator", "waterFlow_L_min", "water flow on its card", Quantity.VOLUME_FLOW, "L/min", 0.5, 1000, 20, "maker's card"),
    RADIATOR_WATER_IN("core/water/radiator", "waterIn_C", "water in on its card", Quantity.TEMPERATURE, "°C", 5, 120, 60, "maker's card"),
    RADIATOR_AIR_SPEED("core/water/radiator", "airSpeed_m_s", "face air on its card", Quantity.SPEED, "m/s", 0.2, 40, 5, "maker's card"),
    RADIATOR_AIR_IN("core/water/radiator", "airIn_C", "air in on its card", Quantity.TEMPERATURE, "°C", -20, 60, 25, "maker's card"),
    RADIATOR_WATER_LOSS("core/water/radiator", "waterLoss_kPa", "water loss on its card", Quantity.PRESSURE, "kPa", 0.1, 100, 6, "maker's card; about 6 kPa where it is silent"),
    RADIATOR_AIR_LOSS("core/water/radiator", "airLoss_Pa", "air loss on its card", Quantity.DRAUGHT, "Pa", 1, 3000, 80,
            "maker's card; 150 Pa for each metre of depth at 1 m/s where it is silent; common practice, no source"),
    RADIATOR_CARD_WIDTH("core/water/radiator", "cardWidth_mm", "width on its card", Quantity.LENGTH, "mm", 30, 2500, 400, "finned block that the card speaks of; the same where left out"),
    RADIATOR_CARD_HEIGHT("core/water/radiator", "cardHeight_mm", "height on its card", Quantity.LENGTH, "mm", 30, 1500, 250, "finned block that the card speaks of; the same where left out"),
    RADIATOR_CARD_DEPTH("core/water/radiator", "cardDepth_mm", "depth on its card", Quantity.LENGTH, "mm", 10, 400, 32, "finned block that the card speaks of; the same where left out"),
    TUBE_HEIGHT("core/water/radiator/tubes", "tubeHeight_mm", "tube height", Quantity.LENGTH, "mm", 0.8, 20, 2, "outside, across the flat tube"),
    TUBE_WALL("core/water/radiator/tubes", "tubeWall_mm", "tube wall", Quantity.LENGTH, "mm", 0.1, 2, 0.3, "0.25-0.4 mm is usual; common practice, no source"),
    TUBE_PASSES("core/water/radiator/tubes", "passes", "passes", Quantity.NUMBER, "", 1, 4, 1, "1 straight through, 2 there and back"),

    WAY_SPACE_WIDTH("airWay", "spaceWidth_mm", "space width", Quantity.LENGTH, "mm", 30, 3000, 900, "between what cannot move, left and right"),
    WAY_SPACE_HEIGHT("airWay", "spaceHeight_mm", "space height", Quantity.LENGTH, "mm", 30, 2500, 600, "between what cannot move, below and above"),
    WAY_SEAL("airWay", "seal_pct", "seal round the stack", Quantity.SHARE, "%", 0, 100, 80, "100 is foam all round; an open front 60-80 %; common practice, no source"),
    WAY_RECIRCULATION("airWay", "recirculation_pct", "comes round again, standing", Quantity.SHARE, "%", 0, 80, 15,
            "share of the warm air that reaches the front again; 5-30 %; common practice, no source"),
    OPENING_WIDTH("airWay/opening", "width_mm", "opening width", Quantity.LENGTH, "mm", 10, 3000, 600, "hole in the bodywork"),
    OPENING_HEIGHT("airWay/opening", "height_mm", "opening height", Quantity.LENGTH, "mm", 10, 2000, 200, "hole in the bodywork"),
    OPENING_PRESSURE("airWay/opening", "pressure_pct", "pressure at the opening", Quantity.SHARE, "%", -50, 120, 90,
            "of the road wind's: facing it 85-100, scoop 60-80, sidepod 50-70, under-tray 30-50 %; common practice, no source"),
    OPENING_OPEN("airWay/opening", "open_pct", "open share of the grille", Quantity.SHARE, "%", 5, 100, 80, "mesh 60-75, bars 75-90, none 100 %; common practice, no source"),
    WALL_WIDTH("airWay/opening/wall", "width_mm", "width", Quantity.LENGTH, "mm", 1, 3000, 520, "of what stands before the opening"),
    WALL_HEIGHT("airWay/opening/wall", "height_mm", "height", Quantity.LENGTH, "mm", 1, 2000, 110, "of what stands before the opening"),
    WALL_ACROSS("airWay/opening/wall", "across_mm", "off the middle", Quantity.LENGTH, "mm", -2000, 2000, 0, "to the right, middle to middle of the opening"),
    WALL_UP("airWay/opening/wall", "up_mm", "above the middle", Quantity.LENGTH, "mm", -2000, 2000, 0, "middle to middle of the opening"),
    FAN_FLOW("airWay/fan/curve", "flow_m3_h", "fan flow", Quantity.AIR_FLOW, "m³/h", 0, 30000, 2200, "from its maker"),
    FAN_PRESSURE("airWay/fan/curve", "pressure_Pa", "fan pressure", Quantity.DRAUGHT, "Pa", 0, 2000, 200, "from its maker"),
    FAN_OFF_ABOVE("airWay/fan", "offAbove_km_h", "off above", Quantity.SPEED, "km/h", 0, 600, 60, "road speed from which it is switched off"),
    EXIT_AREA("airWay/exit", "area_cm2", "exit area", Quantity.AREA, "cm²", 1, 30000, 1200, "smallest section behind the stack that the air must leave through"),
    EXIT_PRESSURE("airWay/exit", "pressure_pct", "pressure at the exit", Quantity.SHARE, "%", -100, 100, -10,
            "of the road wind's: engine bay 0 to 20, under the car -10 to -20, behind a wheel or over the bonnet -20 to -40 %; common practice, no source"),
    LAYER_ACROSS("airWay/layer", "across_mm", "off the middle", Quantity.LENGTH, "mm", -2000, 2000, 0, "to the right, middle to middle of the opening"),
    LAYER_UP("airWay/layer", "up_mm", "above the middle", Quantity.LENGTH, "mm", -2000, 2000, 0, "middle to middle of the opening"),
    LAYER_GAP("airWay/layer", "gap_mm", "free before it", Quantity.LENGTH, "mm", 0, 2000, 15, "to the layer in front, or to the opening"),
    OTHER_WIDTH("airWay/layer/other", "width_mm", "width", Quantity.LENGTH, "mm", 30, 2500, 600, "finned block"),
    OTHER_HEIGHT("airWay/layer/other", "height_mm", "height", Quantity.LENGTH, "mm", 30, 1500, 380, "finned block"),
    OTHER_DEPTH("airWay/layer/other", "depth_mm", "depth", Quantity.LENGTH, "mm", 8, 400, 20, "finned block: condensers 16-25, radiators 26-50 mm; common practice, no source"),
    OTHER_HEAT("airWay/layer/other", "heat_kW", "heat on its card", Quantity.POWER, "kW", 0.1, 1000, 10, "maker's card"),
    OTHER_HOT_CARD("airWay/layer/other", "hotOnCard_C", "hot side on its card", Quantity.TEMPERATURE, "°C", 20, 200, 60, "maker's card"),
    OTHER_SPEED("airWay/layer/other", "airSpeed_m_s", "face air on its card", Quantity.SPEED, "m/s", 0.2, 40, 4, "maker's card"),
    OTHER_AIR("airWay/layer/other", "airIn_C", "air in on its card", Quantity.TEMPERATURE, "°C", -20, 60, 35, "maker's card"),
    OTHER_LOSS("airWay/layer/other", "airLoss_Pa", "air loss on its card", Quantity.DRAUGHT, "Pa", 1, 3000, 40, "maker's card"),
    OTHER_HOT("airWay/layer/other", "hot_C", "hot side in the car", Quantity.TEMPERATURE, "°C", 20, 200, 60,
            "condensing 50-65 °C, coolant 85-105 °C, oil 100-130 °C; common practice, no source"),

    CARD_WIDTH("core/card", "width_mm", "card: core width", Quantity.LENGTH, "mm", 30, 2500, 500, "size that was measured"),
    CARD_HEIGHT("core/card", "height_mm", "card: core height", Quantity.LENGTH, "mm", 30, 1500, 250, "size that was measured"),
    CARD_DEPTH("core/card", "depth_mm", "card: core depth", Quantity.LENGTH, "mm", 10, 400, 64, "size that was measured"),
    CARD_MASS("core/card", "mass_kg", "card: core mass", Quantity.MASS, "kg", 0.1, 300, 6, "dry, with tanks"),
    CARD_FLOW("core/card", "chargeFlow_kg_s", "card: charge flow", Quantity.MASS_FLOW, "kg/s", 0.005, 10, 0.2, "maker's card"),
    CARD_PRESSURE("core/card", "chargePressure_kPa", "card: charge pressure", Quantity.PRESSURE, "kPa", 80, 700, 200, "absolute, at the inlet"),
    CARD_IN("core/card", "chargeIn_C", "card: charge in", Quantity.TEMPERATURE, "°C", 20, 300, 140, "maker's card"),
    CARD_OUT("core/card", "chargeOut_C", "card: charge out", Quantity.TEMPERATURE, "°C", -20, 250, 45, "maker's card"),
    CARD_LOSS("core/card", "loss_kPa", "card: loss", Quantity.PRESSURE, "kPa", 0.05, 100, 3.5, "maker's card, port to port"),
    CARD_AIR_SPEED("core/card", "airSpeed_m_s", "card: face air", Quantity.SPEED, "m/s", 0.2, 40, 8, "maker's card"),
    CARD_WATER_FLOW("core/card", "waterFlow_L_min", "card: water flow", Quantity.VOLUME_FLOW, "L/min", 0.5, 1000, 20, "maker's card"),
    CARD_COOLANT_IN("core/card", "coolantIn_C", "card: coolant in", Quantity.TEMPERATURE, "°C", -20, 90, 25, "air or water, maker's card"),
    CARD_COOLANT_LOSS("core/card", "coolantLoss_Pa", "card: coolant loss", Quantity.DRAUGHT, "Pa", 1, 200000, 8000,
            "of water or air at the card's flow; where it is silent 8 kPa of water, 150 Pa of air for each metre of depth at 1 m/s; common practice, no source"),
    CARD_CHARGE_SHARE("core/card", "chargeShare_pct", "card: charge side share", Quantity.SHARE, "%", 5, 90, 35,
            "of the whole resistance; air-cooled about 35, water-cooled about 75 %; common practice, no source"),
    CARD_WALL_SHARE("core/card", "wallShare_pct", "card: wall share", Quantity.SHARE, "%", 0.1, 50, 3,
            "wall and fouling; a clean brazed core 1-4 %; common practice, no source");

    private final String part;
    private final String key;
    private final String label;
    private final Quantity quantity;
    private final Unit unit;
    private final double min;
    private final double max;
    private final double usual;
    private final String source;

    Field(String part, String key, String label, Quantity quantity, String unit, double min, double max, double usual, String source) {
        this.part = part;
        this.key = key;
        this.label = label;
        this.quantity = quantity;
        this.unit = quantity.requireUnit(unit);
        this.min = min;
        this.max = max;
        this.usual = usual;
        this.source = source;
    }

    /** @return the part of a build file it stands in, "core/card" */
    public String part() {
        return part;
    }

    /** @return its key there, unit last, "loss_kPa" */
    public String key() {
        return key;
    }

    public String label() {
        return label;
    }

    public Quantity quantity() {
        return quantity;
    }

    /** @return the unit of the key's suffix */
    public Unit unit() {
        return unit;
    }

    /** @return smallest value allowed, in {@link #unit} */
    public double min() {
        return min;
    }

    /** @return largest value allowed, in {@link #unit} */
    public double max() {
        return max;
    }

    /** @return a sensible default, in {@link #unit} */
    public double usual() {
        return usual;
    }

    /** @return where default and range come from, or where to look the number up */
    public String source() {
        return source;
    }
}
