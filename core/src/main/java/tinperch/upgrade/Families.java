package tinperch.upgrade;

import java.util.List;
import java.util.Optional;
import tinperch.part.PartFamily;
import tinperch.part.family.BallArm;
import tinperch.part.family.BlowerDuct;
import tinperch.part.family.BoardMount;
import tinperch.part.family.ChannelGuide;
import tinperch.part.family.CornerBracket;
import tinperch.part.family.EdgeClip;
import tinperch.part.family.FanBracket;
import tinperch.part.family.FanDuct;
import tinperch.part.family.FilterHousing;
import tinperch.part.family.FittedModel;
import tinperch.part.family.FrameBrace;
import tinperch.part.family.GantryEnd;
import tinperch.part.family.HoseAdapter;
import tinperch.part.family.ModuleMount;
import tinperch.part.family.SoftFoot;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.part.family.WheelCarriage;

/** All kinds of part; a new one is added here. */
public final class Families {
    public static final List<PartFamily> ALL = List.of(
            new ToolCarriagePlate(),
            new WheelCarriage(),
            new BoardMount(),
            new ModuleMount(),
            new HoseAdapter(),
            new FilterHousing(),
            new FanDuct(),
            new BlowerDuct(),
            new FanBracket(),
            new FrameBrace(),
            new GantryEnd(),
            new EdgeClip(),
            new ChannelGuide(),
            new CornerBracket(),
            new BallArm(),
            new SoftFoot(),
            new FittedModel());

    private Families() {}

    public static Optional<PartFamily> byId(String id) {
        return ALL.stream().filter(f -> f.id().equals(id)).findFirst();
    }
}
