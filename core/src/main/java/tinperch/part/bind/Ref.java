package tinperch.part.bind;

/** What a role is resolved to: sizes with how well they are known. Values only; the same sizes are equal. */
public sealed interface Ref permits HolesRef, FanRef, MotorRef, RodRef, ProfileRef, BearingRef, BoardRef, CartridgeRef, HoseRef, OpeningRef,
        PlateRef, MeshRef, BodyRef, TipRef, BlowerRef, AccessRef, NearRef {
    /** What the owner calls it. */
    String name();

    Known known();

    /** Its main sizes in words, "40 × 40 × 10 mm". */
    String says();
}
