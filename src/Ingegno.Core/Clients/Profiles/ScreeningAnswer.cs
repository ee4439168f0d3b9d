using System.Collections.Immutable;

namespace Ingegno.Core.Clients.Profiles;

/// <summary>
/// What wants a clinician's clearance before hard work (docs/domain/cautions, after the pre-participation screening of the
/// American College of Sports Medicine, from memory).
/// </summary>
public enum ScreeningAnswer
{
    HeartOrVascular,
    MetabolicOrKidney,
    ChestPainOrFainting,
    UncontrolledBloodPressure,
    PregnancyOrRecentBirth,
    RecentSurgery,
    JointUnderTreatment,
    UnderSixteenWithoutGuardian,
    LongInactiveWithRisk,
    Insulin,
    JointReplacement,
    DiscOrNerve,
    DislocationOrHypermobility,
    ThinBones,
    BloodThinners,
    EyeDisease,
    Hernia,
    Epilepsy,
    Asthma,
    Concussion,
    EatingDisorder,
    OnlySupervised,
    OtherHealth,
}
