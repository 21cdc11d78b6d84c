package tinperch.judge;

import java.util.List;
import tinperch.check.AccessCheck;
import tinperch.check.AimCheck;
import tinperch.check.AirAreaCheck;
import tinperch.check.BedFitCheck;
import tinperch.check.BuildCheck;
import tinperch.check.BushCheck;
import tinperch.check.CableCheck;
import tinperch.check.ChamberCheck;
import tinperch.check.Check;
import tinperch.check.DovetailCheck;
import tinperch.check.DraughtCheck;
import tinperch.check.FlowCheck;
import tinperch.check.GuideCheck;
import tinperch.check.HeatCheck;
import tinperch.check.HoldCheck;
import tinperch.check.HomingCheck;
import tinperch.check.IntakeCheck;
import tinperch.check.IronCheck;
import tinperch.check.KnownCheck;
import tinperch.check.LineUpCheck;
import tinperch.check.MarkCheck;
import tinperch.check.MotionCheck;
import tinperch.check.SpotCheck;
import tinperch.check.OneBodyCheck;
import tinperch.check.OverhangCheck;
import tinperch.check.OverlapCheck;
import tinperch.check.RestCheck;
import tinperch.check.ScrewLengthCheck;
import tinperch.check.SeatCheck;
import tinperch.check.SealCheck;
import tinperch.check.SiteHolesCheck;
import tinperch.check.SkinCheck;
import tinperch.check.StrengthCheck;
import tinperch.check.SnapCheck;
import tinperch.check.SwayCheck;
import tinperch.check.ThinCheck;
import tinperch.check.VoltageCheck;
import tinperch.check.WallCheck;

/** All checks, quick ones first; a new one is added here. */
public final class Checks {
    public static final List<Check> ALL = List.of(
            new BuildCheck(),
            new KnownCheck(),
            new ScrewLengthCheck(),
            new SeatCheck(),
            new WallCheck(),
            new SnapCheck(),
            new SealCheck(),
            new DovetailCheck(),
            new BushCheck(),
            new GuideCheck(),
            new AirAreaCheck(),
            new FlowCheck(),
            new IntakeCheck(),
            new SkinCheck(),
            new OneBodyCheck(),
            new BedFitCheck(),
            new RestCheck(),
            new MotionCheck(),
            new HomingCheck(),
            new OverlapCheck(),
            new MarkCheck(),
            new SpotCheck(),
            new HeatCheck(),
            new ChamberCheck(),
            new StrengthCheck(),
            new HoldCheck(),
            new SwayCheck(),
            new ThinCheck(),
            new OverhangCheck(),
            new AccessCheck(),
            new IronCheck(),
            new AimCheck(),
            new DraughtCheck(),
            new LineUpCheck(),
            new SiteHolesCheck(),
            new CableCheck(),
            new VoltageCheck());

    private Checks() {}
}
