using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Tests.Clients.Profiles;

/// <summary>Joints as an intake says them: which, how bad, on which side, and what brings the complaint on.</summary>
public sealed class JointTalkTests
{
    /// <summary>Written before any of them was read.</summary>
    [Theory]
    [InlineData("34, female, 64 kg. Injured left hip", "hip injured left")]
    [InlineData("50, male. Sore right hip, pinches when deep", "hip sore right hip-pinches")]
    [InlineData("66, female, 70 kg. Hip replacement 2 years ago, left", "hip sore left hip-replaced")]
    [InlineData("29, male, 78 kg. Injured neck", "neck injured")]
    [InlineData("45, male. Sore back, worse when bending forward", "low-back sore back-bending")]
    [InlineData("45, male. Sore back, worse when arching or standing long", "low-back sore back-arching")]
    [InlineData("36, female, 58 kg. Bad back with pain down the leg", "low-back sore leg-signs")]
    [InlineData("30, female. Wrist sore on flat hands in push-ups", "wrist sore wrist-flat")]
    [InlineData("30, female. Injured right wrist", "wrist injured right")]
    [InlineData("47, male. Tennis elbow", "elbow sore")]
    [InlineData("33, female. Sprained ankle injured left", "ankle injured left")]
    [InlineData("52, male, 95 kg. Sore knee at the kneecap, stairs hurt", "knee sore knee-bent")]
    [InlineData("25, male. Left knee locks and gives way, knee pain", "knee sore left knee-locks")]
    [InlineData("31, male. Shoulder dislocated twice, feels unstable", "shoulder injured shoulder-slips")]
    [InlineData("55, male. Sore shoulder, reaching overhead hurts", "shoulder sore shoulder-overhead")]
    [InlineData("35, male. Sore knees both, sore low back", "low-back sore; knee sore both")]
    [InlineData("62, male. Arthritis in hips and knees", "knee sore; hip sore")]
    [InlineData("24, female. Torn ACL right knee, injured", "knee injured right knee-locks")]
    [InlineData("48, female. Carpal tunnel, wrist pain", "wrist sore")]
    [InlineData("39, male. Slipped disc, back pain", "low-back sore leg-signs")]
    [InlineData("44, female. Achilles sore left, ankle stiff", "ankle sore left")]
    [InlineData("no knee pain, no back trouble", "")]
    [InlineData("her mum has a bad hip", "hip sore")] // heard rather than missed: it is shown to be checked
    public void What_is_said_of_joints(string text, string expected) =>
        string.Join(
                "; ",
                IntakeSentence
                    .Read(text)
                    .SoreJoints.Select(j =>
                        string.Join(
                            ' ',
                            [
                                Term.For(j.Joint).Word,
                                Term.For(j.Severity).Word,
                                .. j.Side is { } side ? [Term.For(side).Word] : Array.Empty<string>(),
                                .. j.Provoked.Select(p => Term.For(p).Word),
                            ]
                        )
                    )
            )
            .ShouldBe(expected);
}
