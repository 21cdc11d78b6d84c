package tinperch.workshop.demo;

import static tinperch.measure.HolePair.AB;
import static tinperch.measure.HolePair.AC;
import static tinperch.measure.HolePair.AD;
import static tinperch.measure.HolePair.BC;
import static tinperch.measure.HolePair.BD;
import static tinperch.measure.HolePair.DC;
import static tinperch.part.family.ToolCarriagePlate.CARRIED;
import static tinperch.part.family.ToolCarriagePlate.CORNER;
import static tinperch.part.family.ToolCarriagePlate.HEIGHT;
import static tinperch.part.family.ToolCarriagePlate.MOUNT;
import static tinperch.part.family.ToolCarriagePlate.OPENING;
import static tinperch.part.family.ToolCarriagePlate.THICKNESS;
import static tinperch.part.family.ToolCarriagePlate.WIDTH;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import tinperch.machine.Machine;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.measure.PatternSheet;
import tinperch.measure.sheet.Sheet;
import tinperch.measure.sheet.SheetKind;
import tinperch.part.block.Hand;
import tinperch.part.Models;
import tinperch.part.bind.Binding;
import tinperch.part.family.BallArm;
import tinperch.part.family.BlowerDuct;
import tinperch.part.family.BoardMount;
import tinperch.part.family.ChannelGuide;
import tinperch.part.family.EdgeClip;
import tinperch.part.family.FanBracket;
import tinperch.part.family.FanDuct;
import tinperch.part.family.FilterHousing;
import tinperch.part.family.FittedModel;
import tinperch.part.family.FrameBrace;
import tinperch.part.family.GantryEnd;
import tinperch.part.family.ModuleMount;
import tinperch.part.family.SoftFoot;
import tinperch.part.family.WheelCarriage;
import tinperch.part.form.SeatKind;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Load;
import tinperch.trial.Measured;
import tinperch.trial.Trial;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Trouble;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.WorkshopState;

/** The upgrades under way in the club, with the readings taken for them and the revisions kept. */
final class DemoUpgrades {
    private static final String PLATE = "tool-carriage-plate";
    private static final String FIRST = "p1";

    private WorkshopState state;

    DemoUpgrades(WorkshopState machines) {
        state = machines;
    }

    WorkshopState all() {
        blowerCarriage();
        braces();
        switchMount();
        holdDown();
        fanGuard();
        camera();
        boardMount();
        partCooling();
        lampMount();
        filterBox();
        stirring();
        ribCooling();
        lampDriver();
        doorLatch();
        wireTension();
        driveEnd();
        secondWire();
        fumeHose();
        feed();
        return state;
    }

    // ---- help ----

    private static Values plate(double width, double height, double thickness) {
        return Values.START.with(WIDTH, width).with(HEIGHT, height).with(THICKNESS, thickness);
    }

    /** Readings of a hole pattern, kept with the machine. */
    private void holes(String machineId, String sheetId, PatternSheet p) {
        Machine m = state.machine(machineId).orElseThrow();
        state = state.with(m.with(new Sheet(sheetId, SheetKind.HOLES, p.name(), p.readings())));
    }

    private void upgrade(String id, String machineId, String name, LocalDate started, Trouble trouble, String host, PartDesign... parts) {
        state = state.with(new Upgrade(id, machineId, name, started, trouble, Arrays.asList(parts), host));
    }

    /** A plate between the two patterns read for its upgrade. */
    private static PartDesign plate(String upgradeId, String name, Values values, String material) {
        return PartDesign.of(FIRST, PLATE, name, values).withMaterial(material)
                .bound("mount", new Binding.OnSheet(upgradeId + ".mount", "")).bound("tool", new Binding.OnSheet(upgradeId + ".tool", ""));
    }

    private String site(String machineId, String name) {
        return state.machine(machineId).orElseThrow().surroundings().sites().stream().filter(s -> s.name().equals(name)).map(Site::id).findFirst().orElseThrow();
    }

    private String neighbour(String machineId, String name) {
        return state.machine(machineId).orElseThrow().surroundings().neighbours().stream().filter(n -> n.name().equals(name)).map(Neighbour::id).findFirst().orElseThrow();
    }

    private void revision(String upgradeId, int number, LocalDateTime at, String reason, Values v, String material, double hours, Revision.End end, String note) {
        Upgrade now = state.upgrade(upgradeId).orElseThrow();
        PartDesign part = now.part(FIRST).orElseThrow().with(v).withMaterial(material);
        state = state.with(new Revision(upgradeId, FIRST, number, at, reason, part,
                Optional.of(Case.of(now.with(part), FIRST, state.shop(Models.NONE), Revision.mark(number)).recipe()), now.hostMachineId(), List.of(),
                new Revision.Life(hours, end, note)));
    }

    // ---- Avocet ----

    private void blowerCarriage() {
        DemoReadings calipers = new DemoReadings(11, LocalDateTime.of(2026, 5, 9, 10, 5));
        holes("avocet", "avocet-blower.mount", calipers.sheet("wheel plate", new double[] {0, 0, 44.02, 0, 43.91, 30.05, -0.09, 30.02}, 3.28, 3,
                AB, DC, AD, BC, AC));
        holes("avocet", "avocet-blower.tool", calipers.sheet("blower flange", new double[] {0, 0, 32.0, 0, 32.03, 32.04, 0.02, 31.98}, 3.12, 3,
                AB, AD, BC, AC, BD));
        Values v = plate(82, 64, 8).with(MOUNT.held, 6.0).with(MOUNT.length, 16.0).with(MOUNT.y, -8.0).with(CARRIED.y, 6.0).with(CARRIED.x, 2.0)
                .with(CARRIED.standoff, 7.0).with(CARRIED.boss, 9.6).with(CARRIED.held, 2.5).with(CARRIED.length, 8.0).with(OPENING, 22.0);
        upgrade("avocet-blower", "avocet", "Blower carriage", LocalDate.of(2026, 5, 9),
                new Trouble("The stock fan blows past the nozzle; overhangs curl and long bridges sag. The fan's tab is "
                        + "cracked and nobody sells the carriage cover any more.", "sag of a 30 mm bridge", "1.8 mm"), "avocet",
                plate("avocet-blower", "Blower carriage plate", v, "PETG").atSite(site("avocet", "carriage front"))
                        // As it lies on the bed its y points up on the machine; the blower of 0.35 kg hangs 25 mm before it.
                        .bearing(new Load("blower", "weight of the blower", "part", new Vec3(2, 6, 15), new Vec3(0, -3.4, 0), Load.Lasting.STEADY)));
        Values v1 = v.with(THICKNESS, 4.0).with(CARRIED.standoff, 3.0).with(OPENING, 18.0).with(CARRIED.x, 0.0).with(MOUNT.length, 12.0).with(MOUNT.held, 5.0);
        Values v2 = v1.with(THICKNESS, 5.0).with(CARRIED.standoff, 5.0);
        Values v3 = v2.with(THICKNESS, 6.0).with(CARRIED.x, 2.0).with(OPENING, 22.0);
        Values v4 = v3.with(THICKNESS, 6.5).with(CARRIED.boss, 8.0).with(MOUNT.length, 16.0).with(MOUNT.held, 6.0);
        state = state.with(state.upgrade("avocet-blower").orElseThrow().tried(List.of(
                new Trial("trial-r2", LocalDate.of(2026, 5, 31), "sag of a 30 mm bridge", new Measured(1.8, 0.2, "mm", ""), new Measured(0.7, 0.2, "mm", ""), true, "R2", "same tower, same spool"),
                new Trial("trial-noise", LocalDate.of(2026, 9, 13), "noise at a metre", new Measured(49, 2, "dB", ""), new Measured(51, 2, "dB", ""), true, "R4", "telephone on a cushion"))));
        revision("avocet-blower", 1, LocalDateTime.of(2026, 5, 16, 17, 30), "First fit in cheap material", v1, "PLA", 9, Revision.End.FAILED,
                "Sagged at the lower edge, next to the hot block");
        revision("avocet-blower", 2, LocalDateTime.of(2026, 5, 30, 11, 0), "PETG, standoffs taller to clear the block", v2, "PETG", 61, Revision.End.FAILED,
                "Plate bent under the wheels' preload; crack at hole B");
        revision("avocet-blower", 3, LocalDateTime.of(2026, 7, 4, 14, 45), "Thicker plate, blower moved 2 mm right", v3, "PETG", 148, Revision.End.FAILED,
                "Insert D pulled out when the fan was changed");
        revision("avocet-blower", 4, LocalDateTime.of(2026, 9, 12, 16, 20), "New wheel spacers: longer screws; slimmer bosses", v4, "PETG", 233,
                Revision.End.FAILED, "Boss A split along a layer");
    }

    private void braces() {
        DemoReadings calipers = new DemoReadings(12, LocalDateTime.of(2026, 9, 19, 9, 40));
        holes("avocet", "avocet-braces.left", calipers.sheet("left upright", new double[] {0, 0, 20.05, 0, 20.02, 120.1, -0.03, 120.04}, 5.3, 4, AB, AD, BC, AC));
        holes("avocet", "avocet-braces.right", calipers.sheet("right upright", new double[] {0, 0, 20.02, 0, 20.06, 114.2, 0.04, 114.15}, 5.3, 4, AB, AD, BC, AC));
        upgrade("avocet-braces", "avocet", "Braces for the uprights", LocalDate.of(2026, 9, 19),
                new Trouble("The uprights sway with a full spool on top; ringing shows on tall ribs. The two sides were "
                        + "taken for mirror images and are not.", "sway at the top, push of 10 N", "0.62 mm"), "curlew",
                brace("left", "p1", 150, Hand.LEFT).atSite(site("avocet", "left upright, outer face")), brace("right", "p2", 144, Hand.RIGHT),
                PartDesign.of("p3", "corner-bracket", "Corner bracket", Values.START).atSite(site("avocet", "top beam, left corner")));
    }

    /** Each side by its own readings. */
    private static PartDesign brace(String side, String id, double heightMm, Hand hand) {
        Values v = Values.START.with(FrameBrace.HAND, hand).with(FrameBrace.HEIGHT, heightMm).with(FrameBrace.REACH, 130.0).with(FrameBrace.LIP, 12.0).with(FrameBrace.EDGE, 9.0)
                .with(FrameBrace.POST_SCREWS.thread, "M5").with(FrameBrace.POST_SCREWS.held, 3.0).with(FrameBrace.POST_SCREWS.length, 20.0).with(FrameBrace.JOINT.split, true);
        return PartDesign.of(id, "frame-brace", "Brace, " + side, v).withMaterial("PETG").bound("post", new Binding.OnSheet("avocet-braces." + side, ""));
    }

    private void switchMount() {
        DemoReadings calipers = new DemoReadings(13, LocalDateTime.of(2026, 10, 3, 13, 15));
        holes("avocet", "avocet-switch.mount", calipers.sheet("frame rail", new double[] {0, 0, 25.02, 0, 25.0, 40.03, 0.01, 40.0}, 3.3, 2, AB, AD, BC, BD));
        holes("avocet", "avocet-switch.tool", calipers.sheet("switch board", new double[] {0, 0, 54.1, 0, 54.08, 44.04, 0, 44.06}, 3.2, 2, AB, DC, AD, AC));
        Values v = plate(92, 64, 5).with(MOUNT.seat, SeatKind.CAPTIVE_NUT).with(MOUNT.held, 2.0).with(MOUNT.length, 8.0).with(MOUNT.recess, 0.4)
                .with(MOUNT.x, -20.0).with(CARRIED.x, 8.0).with(CARRIED.held, 1.6).with(CARRIED.standoff, 6.0).with(CARRIED.length, 8.0).with(CARRIED.insert, 4.0);
        upgrade("avocet-switch", "avocet", "Bed switch module mount", LocalDate.of(2026, 10, 3),
                new Trouble("The bed's connector on the main board runs hot and has browned. A separate switch module with "
                        + "screw terminals is to stand beside the supply.", "connector after 30 min at 90 °C bed", "84 °C"), "curlew",
                plate("avocet-switch", "Switch module mount", v, "PETG"));
    }

    // ---- Turnstone ----

    private void holdDown() {
        DemoReadings calipers = new DemoReadings(14, LocalDateTime.of(2026, 6, 20, 19, 0));
        holes("turnstone", "turnstone-hold.mount", calipers.sheet("foot plate", new double[] {0, 0, 60.04, 0, 60, 24.02, 0, 24.0}, 3.3, 2, AB, AD, AC));
        holes("turnstone", "turnstone-hold.tool", calipers.sheet("clamp", new double[] {0, 0, 84.06, 0, 84.02, 32.0, 0, 32.03}, 4.4, 2, AB, AD));
        Values v = plate(104, 50, 5).with(MOUNT.held, 3.0).with(MOUNT.length, 12.0).with(CARRIED.held, 4.0).with(CARRIED.standoff, 0.0)
                .with(CARRIED.thread, "M4").with(CARRIED.seat, SeatKind.CAPTIVE_NUT).with(CARRIED.length, 10.0).with(CARRIED.washer, false).with(CORNER, 8.0);
        upgrade("turnstone-hold", "turnstone", "Hold-down for the school table", LocalDate.of(2026, 6, 20),
                new Trouble("The machine walks across the table on fast moves and pulls at its cable.", "walk in ten minutes", "35 mm"), "curlew",
                plate("turnstone-hold", "Hold-down plate", v, "PLA"), PartDesign.of("p2", "edge-clip", "Edge clip", Values.START.with(EdgeClip.LIFT, 0.0)
                        .with(EdgeClip.SCREWS.thread, "M4").with(EdgeClip.SCREWS.length, 30.0)).withMaterial("PETG").bound("base", new Binding.OnSheet("turnstone-base", ""))
                        .bound("table", new Binding.Usual("pair-40")).atSite(site("turnstone", "base plate, right edge")),
                PartDesign.of("p3", "soft-foot", "Soft foot", Values.START.with(SoftFoot.SCREWS.held, 6.0).with(SoftFoot.SCREWS.recess, 8.0).with(SoftFoot.SCREWS.length, 12.0)).withMaterial("TPU 95A").atSite(site("turnstone", "base plate, underside")));
    }

    private void fanGuard() {
        Values v = FittedModel.BORED.typed(Values.START, "M3");
        upgrade("turnstone-guard", "turnstone", "Guard for the board fan", LocalDate.of(2026, 11, 7),
                new Trouble("Strings of plastic get drawn into the board's fan and stop it; a finger was nipped.", "stops of the fan in a month", "3 stops"), "curlew",
                PartDesign.of(FIRST, "fitted-model", "Fan guard", v).withMaterial("PLA").bound("model", new Binding.OfModel(DemoModels.GUARD_ID)));
    }

    private void boardMount() {
        Values v = Values.START.with(BoardMount.SLOT, 24.0).with(BoardMount.MOUNT.length, 12.0);
        upgrade("turnstone-board", "turnstone", "House for the control board", LocalDate.of(2026, 11, 14),
                new Trouble("The control board hangs open beside the table; pupils reach into it.", "parts that can be touched", "14 pins"), "curlew",
                PartDesign.of(FIRST, "board-mount", "Board house", v).bound("board", new Binding.OnSheet("turnstone-board", ""))
                        .bound("mount", new Binding.OnSheet("turnstone-post", "")).atSite(site("turnstone", "post, outer face")));
    }

    private void partCooling() {
        Values v = Values.START.with(FanDuct.INLET, 35.5).with(FanDuct.OUTLETS.length, 36.0).with(FanDuct.OUTLETS.offset, 22.0).with(FanDuct.OUTLETS.tilt, 45.0).with(FanDuct.OUTLETS.height, 10.0).with(FanDuct.OUTLETS.width, 34.0);
        upgrade("turnstone-duct", "turnstone", "Cooling for the print", LocalDate.of(2026, 11, 7),
                new Trouble("Small arches curl up: the machine came without a fan for the print.", "droop of a 20 mm bridge", "1.8 mm"), "curlew",
                PartDesign.of(FIRST, "fan-duct", "Cooling duct", v).bound("fan", new Binding.OnSheet("turnstone-fan", ""))
                        .atSite(site("turnstone", "in front of the hot end")));
    }

    // ---- Curlew ----

    private void lampMount() {
        DemoReadings calipers = new DemoReadings(15, LocalDateTime.of(2026, 8, 15, 10, 30));
        holes("curlew", "curlew-lamp.mount", calipers.sheet("roof rail", new double[] {0, 0, 90.03, 0, 90.01, 20.02, 0, 20}, 3.3, 2, AB, AD, BC, AC));
        holes("curlew", "curlew-lamp.tool", calipers.sheet("driver board", new double[] {0, 0, 58.0, 0, 58.03, 49.02, 0.02, 49.05}, 3.2, 2, AB, AD, AC));
        Values v = plate(110, 78, 5).with(MOUNT.held, 3.0).with(MOUNT.length, 12.0).with(CARRIED.held, 1.6).with(CARRIED.standoff, 7.0)
                .with(CARRIED.length, 6.0).with(CARRIED.insert, 4.0).with(OPENING, 24.0);
        upgrade("curlew-lamp", "curlew", "Lamp and board mount", LocalDate.of(2026, 8, 15),
                new Trouble("Nothing can be seen of the first layer through the door; the lamp's driver board hangs on its "
                        + "wires.", "light at the nozzle", "none"), "curlew",
                plate("curlew-lamp", "Lamp and board mount", v, "ABS").atSite(site("curlew", "roof rail")));
        revision("curlew-lamp", 1, LocalDateTime.of(2026, 8, 22, 15, 10), "First print, board on nuts", v.with(CARRIED.standoff, 4.0).with(THICKNESS, 4.0),
                "ABS", 212, Revision.End.REPLACED, "Board touched a solder tail; standoffs too low");
    }

    /** A camera of 60 g on links that are put by hand. */
    private void camera() {
        upgrade("avocet-camera", "avocet", "A camera that looks at the nozzle", LocalDate.of(2026, 11, 29),
                new Trouble("Whether the first layer holds is seen only by walking over to the boathouse; the camera lies on a tin and slips off.", "walks over a day", "9 walks"), "curlew",
                PartDesign.of(FIRST, "ball-arm", "Camera arm", Values.START.with(BallArm.LINKS, 2.0).with(BallArm.MOUNT.held, 2.0)).withMaterial("PETG").bound("mount", new Binding.Usual("pair-40")).bound("carried", new Binding.Usual("holes-24x18"))
                        .atSite(site("avocet", "left upright, outer face")).bearing(new Load("camera", "camera and cable", "head", Vec3.ZERO, Vec3.Y.times(0.6), Load.Lasting.STEADY)));
    }

    private void filterBox() {
        DemoReadings calipers = new DemoReadings(16, LocalDateTime.of(2026, 10, 24, 11, 20));
        holes("curlew", "curlew-filter.mount", calipers.sheet("rear wall, fan", new double[] {0, 0, 71.5, 0, 71.52, 71.5, 0, 71.53}, 4.4, 1, AB, AD, AC));
        Values v = Values.START.with(FilterHousing.MEDIUM, Optional.of("carbon")).with(FilterHousing.LEDGE, 4.0).with(FilterHousing.PRESSED, 3.3).with(FilterHousing.MOUNT.thread, "M4")
                .with(FilterHousing.MOUNT.held, 6.0).with(FilterHousing.MOUNT.length, 16.0);
        upgrade("curlew-filter", "curlew", "Filter box", LocalDate.of(2026, 10, 24),
                new Trouble("ABS smells through the whole boathouse and fine dust settles on the window sill. A carbon and "
                        + "fine-dust cartridge is at hand.", "smell two metres off after an hour of ABS, out of ten", "8 points"), "curlew",
                PartDesign.of(FIRST, "filter-housing", "Filter box", v).withMaterial("ABS").bound("cartridge", new Binding.OnSheet("curlew-filter", ""))
                        .bound("mount", new Binding.OnSheet("curlew-filter.mount", "")).atSite(site("curlew", "rear wall, fan")));
    }

    private void stirring() {
        Values v = Values.START.with(FanBracket.SCREWS.held, 20.0).with(FanBracket.SCREWS.length, 30.0).with(FanBracket.OPENING, 36.8).with(FanBracket.MOUNT.held, 6.0).with(FanBracket.MOUNT.length, 16.0);
        upgrade("curlew-stir", "curlew", "Stirring the chamber's air", LocalDate.of(2026, 10, 31),
                new Trouble("The chamber's lower corners stay cold and large ABS parts lift there.", "corner below the middle, after an hour", "11 K"), "curlew",
                PartDesign.of(FIRST, "fan-bracket", "Stirring fan bracket", v).withMaterial("ABS").bound("fan", new Binding.OnSheet("curlew-stir-fan", ""))
                        .bound("mount", new Binding.OnSheet("curlew-stir", "")).atSite(site("curlew", "rear wall, low")));
    }

    private void ribCooling() {
        Values v = Values.START.with(BlowerDuct.OUTLETS.tilt, 75.0).with(BlowerDuct.OUTLETS.distance, 32.0).with(BlowerDuct.OUTLETS.width, 28.0).with(BlowerDuct.OUTLETS.height, 6.0);
        upgrade("curlew-blower", "curlew", "Air on the tip", LocalDate.of(2026, 11, 20),
                new Trouble("The radial fan blows past the nozzle into the chamber; ribs of PETG droop on the side away from it.", "droop of a rib leaning by 60°", "0.9 mm"), "curlew",
                PartDesign.of(FIRST, "blower-duct", "Nozzle duct", v).withMaterial("ABS").bound("fan", new Binding.OnSheet("curlew-blower", ""))
                        .bound("aim", new Binding.OfNeighbour(neighbour("curlew", "hot block"))).atSite(site("curlew", "left of the tool, blower's outlet")));
    }

    private void lampDriver() {
        upgrade("curlew-driver", "curlew", "The lamp's driver on the wall", LocalDate.of(2026, 11, 15),
                new Trouble("The driver board dangles on its wires behind the lamp and gets the chamber's whole heat from all sides.", "board after an hour of ABS", "71 °C"), "curlew",
                PartDesign.of(FIRST, "module-mount", "Driver mount", Values.START.with(ModuleMount.AIR, 8.0).with(ModuleMount.MOUNT.y, -38.0).with(ModuleMount.SCREWS.standoff, 9.0)).withMaterial("ABS").bound("module", new Binding.OnSheet("curlew-board", ""))
                        .bound("mount", new Binding.Usual("pair-40")).atSite(site("curlew", "right wall, inner face")));
    }

    /** Just begun: no part yet. */
    private void doorLatch() {
        upgrade("curlew-door", "curlew", "Door latch", LocalDate.of(2026, 11, 22),
                new Trouble("The door is held shut with tape; it opens a finger wide when the chamber is warm.", "gap at the handle", "9 mm"), "curlew");
    }

    // ---- Ruff ----

    private void wireTension() {
        DemoReadings calipers = new DemoReadings(17, LocalDateTime.of(2026, 7, 11, 16, 0));
        holes("ruff", "ruff-tension.mount", calipers.sheet("wheel pattern", new double[] {0, 0, 50.0, 0, 50.03, 50.02, 0.01, 50.04}, 5.2, 2, AB, AD, BC, AC));
        holes("ruff", "ruff-tension.tool", calipers.sheet("spring block", new double[] {0, 0, 24.02, 0, 24.0, 24.0, 0, 24.03}, 4.3, 2, AB, AD, AC));
        Values v = plate(74, 74, 6).with(MOUNT.thread, "M5").with(MOUNT.held, 4.0).with(MOUNT.length, 20.0).with(CARRIED.thread, "M4")
                .with(CARRIED.seat, SeatKind.CAPTIVE_NUT).with(CARRIED.held, 3.0).with(CARRIED.standoff, 0.0).with(CARRIED.length, 10.0)
                .with(CARRIED.turn, 45.0).with(CORNER, 8.0);
        upgrade("ruff-tension", "ruff", "Wire-tension carriage", LocalDate.of(2026, 7, 11),
                new Trouble("The wire sags as it warms and cuts a belly into long plugs.", "belly over 400 mm", "2.4 mm"), "curlew",
                plate("ruff-tension", "Wire-tension carriage", v, "PETG"));
    }

    private void secondWire() {
        Values v = Values.START.with(WheelCarriage.RIDE.spacer, 10.0).with(WheelCarriage.RIDE.axles.thread, "M5").with(WheelCarriage.RIDE.axles.held, 20.0).with(WheelCarriage.RIDE.axles.length, 35.0)
                .with(WheelCarriage.CARRIED.thread, "M4").with(WheelCarriage.CARRIED.boss, 12.8).with(WheelCarriage.CARRIED.standoff, 9.0).with(WheelCarriage.CARRIED.length, 10.0).with(WheelCarriage.RIDE.apart, 64.0);
        upgrade("ruff-second", "ruff", "A carriage for a second wire", LocalDate.of(2026, 11, 18),
                new Trouble("Long wedges are cut twice and never match: a second wire beside the first would cut both faces at once.", "step between the two cuts", "1.6 mm"), "curlew",
                PartDesign.of(FIRST, "wheel-carriage", "Second wire's carriage", v).withMaterial("PETG").bound("profile", new Binding.OnSheet("ruff-profile", ""))
                        .bound("tool", new Binding.OnSheet("ruff-tension.tool", "")).atSite(site("ruff", "left rail, outer side")));
    }

    /** Half the pulley's pitch Ø aside, so that one run of the belt goes midway between the rods: 20 teeth of 2 mm, 20 × 2 / π / 2. */
    private void driveEnd() {
        Values v = Values.START.with(GantryEnd.ASIDE, 6.4).with(GantryEnd.HOLD.tilt, 45.0).with(GantryEnd.PASSAGE, 18.0);
        upgrade("ruff-drive", "ruff", "End block for the left drive", LocalDate.of(2026, 11, 14),
                new Trouble("The wooden block at the drive's end has split; the belt jumps a tooth and the guide rods work loose.", "jumps in an hour of cutting", "6 jumps"), "curlew",
                PartDesign.of(FIRST, "gantry-end", "Drive end block", v).withMaterial("PETG").bound("motor", new Binding.OnSheet("ruff-motor", ""))
                        .bound("rod", new Binding.Usual("rod-8")).atSite(site("ruff", "left rail, drive end")));
    }

    private void fumeHose() {
        upgrade("ruff-fume", "ruff", "Fume hose on the rear panel", LocalDate.of(2026, 11, 21),
                new Trouble("Fumes of the hot wire stay under the hood; the hose is held on with tape and falls off.", "time until the air is clear", "14 min"), "curlew",
                PartDesign.of(FIRST, "hose-adapter", "Fume hose adapter", Values.START).bound("hose", new Binding.OnSheet("ruff-hose", ""))
                        .bound("opening", new Binding.OnSheet("ruff-opening", "")).atSite(site("ruff", "rear panel, fume opening")));
    }

    private void feed() {
        Values v = Values.START.with(ChannelGuide.LENGTH, 240.0).with(ChannelGuide.SPLIT, true);
        upgrade("ruff-feed", "ruff", "A guide for long blocks", LocalDate.of(2026, 11, 22),
                new Trouble("Blocks longer than the wire's way are pushed on by hand and drift; the second cut starts beside the first.", "drift over a metre", "4.5 mm"), "curlew",
                PartDesign.of(FIRST, "channel-guide", "Sled's channel", v).withMaterial("PETG").bound("slide", new Binding.OnSheet("ruff-profile", ""))
                        .bound("base", new Binding.Usual("pair-60")).atSite(site("ruff", "table, beside the right rail")));
    }
}
