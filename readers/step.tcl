# Reads every STEP of the working folder with an independent kernel and tells, a line each: file, validity, solids, largest tolerance, volume.
pload MODELING OCAFKERNEL DATAEXCHANGEKERNEL
foreach f [lsort [glob -nocomplain *.step]] {
    catch {stepread $f a *} told
    set warned [regexp -nocase {warning|error|fail} $told]
    foreach n [lsort [info globals a_*]] {
        set valid [regexp {seems to be valid} [checkshape $n]]
        regexp {Mass :\s+(\S+)} [vprops $n 1e-9] - volume
        regexp {SOLID\s+: (\d+)} [nbshapes $n] - solids
        set worst 0
        foreach {- t} [regexp -all -inline {Max\s+(\S+)} [maxtolerance $n]] { if {$t > $worst} { set worst $t } }
        puts "STEP|$f|$valid|$solids|$worst|$volume|$warned"
        unset ::$n
    }
}
